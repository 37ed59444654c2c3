const has = (bytes: Uint8Array, words: string, from: number, to = bytes.length): boolean => {
  for (let at = from; at + words.length <= Math.min(to, bytes.length); at++) {
    let same = 0;
    while (same < words.length && bytes[at + same] === words.charCodeAt(same)) same += 1;
    if (same === words.length) return true;
  }
  return false;
};

/** Bytes at the start of a file within which a PNG says that it moves. */
const HEAD = 4096;

/**
 * Whether a picture's file holds several images that are shown one after the other: GIF that repeats or has a second
 * image, WebP and PNG that say so in their heads.
 */
export function isMoving(bytes: Uint8Array): boolean {
  if (has(bytes, 'GIF8', 0, 4)) return has(bytes, 'NETSCAPE2.0', 13) || gifImages(bytes) > 1;
  if (has(bytes, 'RIFF', 0, 4)) return has(bytes, 'VP8X', 12, 16) && (bytes[20] & 0b10) !== 0;
  if (has(bytes, '\x89PNG', 0, 4)) return has(bytes, 'acTL', 8, HEAD);
  return false;
}

/** Images in a GIF (89a, sections 18 to 26), counted up to two; a file that breaks off counts what it has. */
function gifImages(bytes: Uint8Array): number {
  const table = (flags: number) => (flags & 0x80 ? 3 * 2 ** ((flags & 7) + 1) : 0);
  let at = 13 + table(bytes[10]);
  let images = 0;
  const passBlocks = () => {
    while (at < bytes.length && bytes[at] !== 0) at += bytes[at] + 1;
    at += 1;
  };
  while (at < bytes.length && images < 2) {
    if (bytes[at] === 0x21) at += 2;
    else if (bytes[at] === 0x2c) {
      images += 1;
      at += 10 + table(bytes[at + 9]) + 1;
    } else return images;
    passBlocks();
  }
  return images;
}
