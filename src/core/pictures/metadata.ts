/** What a file of a picture holds besides the picture. */
export interface WithoutMetadata {
  bytes: Uint8Array<ArrayBuffer>;
  /** Bytes that went. */
  removed: number;
}

/**
 * A JPEG, PNG or WebP file without what was written into it beside the picture: camera, place, times, names, comments,
 * small copies of itself. Colour profiles stay, for without them colours change. The pixels are not touched. Null: another
 * kind of file, or one whose parts do not fit together. What turns the picture when it is shown goes too, so a
 * turned one has to be drawn anew instead.
 */
export function withoutMetadata(bytes: Uint8Array): WithoutMetadata | null {
  const parts =
    bytes[0] === 0xff && bytes[1] === 0xd8
      ? jpegParts(bytes)
      : bytes[0] === 0x89 && ascii(bytes, 1, 3) === 'PNG'
        ? pngParts(bytes)
        : ascii(bytes, 0, 4) === 'RIFF' && ascii(bytes, 8, 4) === 'WEBP'
          ? webpParts(bytes)
          : null;
  if (!parts) return null;
  const length = parts.reduce((sum, [from, to]) => sum + to - from, 0);
  const out = new Uint8Array(length);
  let at = 0;
  for (const [from, to] of parts) {
    out.set(bytes.subarray(from, to), at);
    at += to - from;
  }
  if (ascii(out, 0, 4) === 'RIFF') tidyWebp(out);
  return { bytes: out, removed: bytes.length - length };
}

type Stretch = [from: number, to: number];

const ascii = (bytes: Uint8Array, at: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(at, at + length));

const view = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);

/** Marker segments of JPEG (ITU T.81, B.1.1.4): APP1 to APP15 without the colour profile and Adobe's colour sign, and comments. */
function jpegParts(bytes: Uint8Array): Stretch[] | null {
  const parts: Stretch[] = [[0, 2]];
  let at = 2;
  while (at + 2 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1];
    // What stands behind the end (a short film, more pictures, each with its own notes) is not this picture.
    if (marker === 0xd9) return [...parts, [at, at + 2]];
    if (at + 4 > bytes.length) return null;
    const length = 2 + view(bytes).getUint16(at + 2);
    if (length < 4 || at + length > bytes.length) return null;
    const isApp = marker >= 0xe1 && marker <= 0xef;
    const isColour =
      (marker === 0xe2 && ascii(bytes, at + 4, 11) === 'ICC_PROFILE') ||
      (marker === 0xee && ascii(bytes, at + 4, 5) === 'Adobe');
    const end = marker === 0xda ? endOfScan(bytes, at + length) : at + length;
    if (!((isApp && !isColour) || marker === 0xfe)) parts.push([at, end]);
    at = end;
  }
  return null;
}

/** Where the coded picture ends: at a sign of 0xff that is neither a byte of it (0xff00) nor a point to start again from. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at !== -1; at = bytes.indexOf(0xff, at + 1)) {
    const next = bytes[at + 1];
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  return bytes.length;
}

const PNG_WORDS = new Set(['eXIf', 'tEXt', 'zTXt', 'iTXt', 'tIME', 'dSIG']);

/** Chunks of PNG (ISO 15948, 5.3): length, name, content, checksum. */
function pngParts(bytes: Uint8Array): Stretch[] | null {
  const parts: Stretch[] = [[0, 8]];
  for (let at = 8; at + 12 <= bytes.length; ) {
    const end = at + 12 + view(bytes).getUint32(at);
    if (end > bytes.length) return null;
    const name = ascii(bytes, at + 4, 4);
    if (!PNG_WORDS.has(name)) parts.push([at, end]);
    if (name === 'IEND') return parts;
    at = end;
  }
  return null;
}

/** Chunks of WebP (RFC 9649, 2.3): name, length, content, and a byte more where the length is odd. */
function webpParts(bytes: Uint8Array): Stretch[] | null {
  const parts: Stretch[] = [[0, 12]];
  let at = 12;
  while (at + 8 <= bytes.length) {
    const length = view(bytes).getUint32(at + 4, true);
    const end = at + 8 + length + (length % 2);
    if (end > bytes.length) return null;
    const name = ascii(bytes, at, 4);
    if (name !== 'EXIF' && name !== 'XMP ') parts.push([at, end]);
    at = end;
  }
  return at === bytes.length ? parts : null;
}

/** The length of the whole, and the signs that say what chunks follow, put right. */
function tidyWebp(bytes: Uint8Array): void {
  view(bytes).setUint32(4, bytes.length - 8, true);
  const HAS_EXIF = 0b1000;
  const HAS_XMP = 0b100;
  if (ascii(bytes, 12, 4) === 'VP8X') bytes[20] &= ~(HAS_EXIF | HAS_XMP);
}
