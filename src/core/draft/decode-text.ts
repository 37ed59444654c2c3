import { bytesInWords, UnreadableFile } from './unreadable.ts';

/** A file's bytes as text. */
export interface DecodedText {
  text: string;
  /** As the Encoding Standard names it, e.g. `utf-8`, `windows-1252`. */
  encoding: string;
  /** What the reader should know: a guess, characters that were lost. */
  notes: string[];
}

/** The longest text that is read, in bytes: some twenty novels. Beyond it a file is no post but a mistake. */
const MOST_TEXT_BYTES = 5_000_000;

/** How files that are no text begin. */
const SIGNATURES: [name: string, bytes: number[]][] = [
  ['a zip file', [0x50, 0x4b, 0x03, 0x04]],
  ['a PDF', [0x25, 0x50, 0x44, 0x46]],
  ['a PNG picture', [0x89, 0x50, 0x4e, 0x47]],
  ['a JPEG picture', [0xff, 0xd8, 0xff]],
  ['a GIF picture', [0x47, 0x49, 0x46, 0x38]],
  ['a compressed file', [0x1f, 0x8b]],
  ['a program', [0x7f, 0x45, 0x4c, 0x46]],
  ["an old word processor's file", [0xd0, 0xcf, 0x11, 0xe0]],
];

/** Bytes of the head in which an encoding is declared. */
const HEAD = 2048;

const latin = (bytes: Uint8Array) => new TextDecoder('latin1').decode(bytes);

function byteOrderMark(bytes: Uint8Array): string | null {
  if (bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf) return 'utf-8';
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  return null;
}

/** UTF-16 without a mark: Western text has a zero in nearly every second byte. */
function bareUtf16(bytes: Uint8Array): string | null {
  const length = Math.min(bytes.length, HEAD) & ~1;
  if (length < 4) return null;
  let [even, odd] = [0, 0];
  for (let at = 0; at < length; at++) if (bytes[at] === 0) at % 2 ? odd++ : even++;
  if (odd > length * 0.3 && even < length * 0.05) return 'utf-16le';
  if (even > length * 0.3 && odd < length * 0.05) return 'utf-16be';
  return null;
}

/** The encoding that markup declares in its head, where this machine knows it. */
function declared(bytes: Uint8Array): string | null {
  const head = latin(bytes.subarray(0, HEAD));
  const name =
    /^\s*<\?xml[^>]*\sencoding\s*=\s*["']([\w.:-]+)/i.exec(head)?.[1] ??
    /<meta[^>]+charset\s*=\s*["']?\s*([\w.:-]+)/i.exec(head)?.[1];
  if (!name) return null;
  try {
    const { encoding } = new TextDecoder(name);
    // A declaration that could be read byte by byte cannot be UTF-16, whatever it says.
    return encoding.startsWith('utf-16') ? 'utf-8' : encoding;
  } catch {
    return null;
  }
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return true;
  } catch {
    return false;
  }
}

/** What Windows-1252 has where ISO-8859-1 has control characters, from 0x80 on; a dot where it has nothing. */
const WINDOWS_1252 = '€.‚ƒ„…†‡ˆ‰Š‹Œ.Ž..‘’“”•–—˜™š›œ.žŸ';

function decodeAs(encoding: string, bytes: Uint8Array): string {
  const text = new TextDecoder(encoding).decode(bytes);
  // Some versions of Node take Windows-1252 for ISO-8859-1.
  return encoding === 'windows-1252'
    ? text.replace(/[\u0080-\u009f]/g, (char) => {
        const meant = WINDOWS_1252[char.charCodeAt(0) - 0x80];
        return meant === '.' ? char : meant;
      })
    : text;
}

/** Share of control characters above which a file is no text. */
const MOST_CONTROLS = 0.01;

/**
 * Reads bytes as text. In this order decide: a byte order mark, UTF-16 by its zeros, what markup declares, UTF-8
 * where it is valid, else Windows-1252. Line ends come out as `\n`;
 * characters that no text holds (NUL) are dropped and named. Of a text that is no markup (`isMarkup` false) a declaration
 * is a quotation: what an article on HTML says about a charset is not said of the article.
 * Throws {@link UnreadableFile} where the file is no text or longer than `most` bytes.
 */
export function decodeText(bytes: Uint8Array, most = MOST_TEXT_BYTES, isMarkup = true): DecodedText {
  if (bytes.length > most)
    throw new UnreadableFile(
      `cannot be read: it holds ${bytesInWords(bytes.length)} of text, and ${bytesInWords(most)} is the most that is read. Split it.`,
    );
  for (const [name, signature] of SIGNATURES)
    if (signature.every((byte, at) => bytes[at] === byte))
      throw new UnreadableFile(`cannot be read as text: it is ${name}. Give it the ending of what it is.`);
  const notes: string[] = [];
  const marked = byteOrderMark(bytes) ?? bareUtf16(bytes);
  let encoding = marked ?? (isMarkup ? declared(bytes) : null);
  if (encoding === null) {
    encoding = isUtf8(bytes) ? 'utf-8' : 'windows-1252';
    if (encoding !== 'utf-8')
      notes.push(
        'It is not valid UTF-8 and declares no encoding; it was read as Windows-1252. Check its accents.',
      );
  }
  const whole = decodeAs(encoding, bytes);
  // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters in question
  const controls = whole.match(/[\u0000-\u0008\u000e-\u001a\u001c-\u001f\u007f]/g)?.length ?? 0;
  if (controls > Math.max(8, whole.length * MOST_CONTROLS))
    throw new UnreadableFile('cannot be read as text: it is binary. Save it as text, HTML or Markdown.');
  const nuls = whole.match(/\0/g)?.length ?? 0;
  if (nuls > 0) notes.push(`${nuls} NUL ${nuls === 1 ? 'character was' : 'characters were'} left out.`);
  const text = whole.replaceAll('\0', '').replace(/\r\n?/g, '\n');
  const lost = text.match(/\ufffd/g)?.length ?? 0;
  if (lost > 0 && encoding !== 'utf-8') notes.push(`${lost} characters are not valid ${encoding}.`);
  else if (lost > 0) notes.push(`${lost} ${lost === 1 ? 'place is' : 'places are'} not valid UTF-8.`);
  return { text, encoding, notes };
}
