/** A generator of numbers in 0..1 that always gives the same row for the same text (mulberry32 over an FNV-1a hash). */
export function seededRandom(text: string): () => number {
  let state = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) state = Math.imul(state ^ text.charCodeAt(at), 0x01000193);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
