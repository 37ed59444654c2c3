import { decodeText } from './decode-text.ts';
import { countingIds, type NextId } from './draft.ts';
import type { PostDocument } from './post-fields.ts';
import { readDocx } from './read-docx.ts';
import { readHtml } from './read-html.ts';
import { readMarkdown } from './read-markdown.ts';
import { readText } from './read-text.ts';
import { UnreadableFile } from './unreadable.ts';

/** Formats that a post can be read from. */
export type FileFormat = 'html' | 'markdown' | 'text' | 'docx';

const EXTENSIONS: ReadonlyMap<string, FileFormat> = new Map<string, FileFormat>(
  Object.entries({
    html: 'html',
    htm: 'html',
    xhtml: 'html',
    md: 'markdown',
    markdown: 'markdown',
    mdown: 'markdown',
    mkd: 'markdown',
    txt: 'text',
    text: 'text',
    docx: 'docx',
  }),
);

/** The format that a file's name tells, or null. */
export const formatOfName = (name: string): FileFormat | null =>
  EXTENSIONS.get(/\.([a-z]+)$/i.exec(name)?.[1].toLowerCase() ?? '') ?? null;

/** A post as read from a file. */
export interface ReadPost extends PostDocument {
  format: FileFormat;
  /** Pictures that lie in the file itself, by the address under which the draft names them. */
  pictures: ReadonlyMap<string, Uint8Array>;
  /** What was guessed or left out, each a sentence. */
  notes: string[];
}

/** The format of a text whose name does not tell it. */
const sniff = (text: string): FileFormat =>
  /^\s*(?:<!doctype|<html|<[a-z]+[^>]*>)/i.test(text) ? 'html' : 'text';

/** Markdown takes more time and memory to read than markup does. */
const MOST_MARKDOWN = 2_000_000;

const isZip = (bytes: Uint8Array) =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

/** Reads a post from a file's bytes, by what its name says or, where it says nothing, what it holds. Throws {@link UnreadableFile}. */
export async function readPostFile(
  bytes: Uint8Array,
  name: string,
  nextId: NextId = countingIds(),
): Promise<ReadPost> {
  if (/\.(?:doc|odt|rtf|pages)$/i.test(name))
    throw new UnreadableFile('cannot be read: its format is another word processor’s. Save it as .docx.');
  const named = formatOfName(name);
  if (named === 'docx' || (named === null && isZip(bytes)))
    return { ...(await readDocx(bytes, nextId)), format: 'docx' };
  const { text, notes } = decodeText(
    bytes,
    named === 'markdown' ? MOST_MARKDOWN : undefined,
    named !== 'markdown' && named !== 'text',
  );
  const format = named ?? sniff(text);
  const read = readDecoded(text, format, nextId);
  return { ...read, format, pictures: new Map(), notes: [...notes, ...read.notes] };
}

function readDecoded(text: string, format: FileFormat, nextId: NextId): PostDocument & { notes: string[] } {
  try {
    if (format === 'html') return { ...readHtml(text, nextId), notes: [] };
    if (format === 'text') return { ...readText(text, nextId), notes: [] };
    const { problem, ...document } = readMarkdown(text, nextId);
    return { ...document, notes: problem === null ? [] : [problem] };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new UnreadableFile(
      'cannot be read: its markup is nested too deeply. Save a simpler version of it.',
    );
  }
}
