import { advanceRuns, kernPairs, unitsPerEm } from './generated/arimo-widths.ts';

interface Table {
  advances: Map<number, number>;
  /** Keyed by left code point * 65,536 + right code point. */
  kerns: Map<number, number>;
}
let table: Table | null = null;

const pairKey = (left: number, right: number) => left * 65_536 + right;

function widths(): Table {
  if (table) return table;
  const advances = new Map<number, number>();
  for (const [start, run] of advanceRuns)
    run.forEach((width, at) => {
      advances.set(start + at, width);
    });
  const kerns = new Map<number, number>();
  for (const [left, cells] of Object.entries(kernPairs)) {
    for (const [kern, rights] of cells)
      for (const right of rights) kerns.set(pairKey(left.codePointAt(0)!, right.codePointAt(0)!), kern);
  }
  table = { advances, kerns };
  return table;
}

// biome-ignore lint/suspicious/noMisleadingCharacterClass: these are the combining characters themselves
const INVISIBLE = /[\p{M}\u200b-\u200f\u2060\ufe00-\ufe0f\u00ad]/u;
const FULL_WIDTH =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\u3000-\u303f\uff00-\uff60\p{Extended_Pictographic}]/u;

/** Width in em of a character that the face does not have: 1 for full-width scripts and emoji, about half for others. */
function fallbackEm(char: string): number {
  if (INVISIBLE.test(char)) return 0;
  return FULL_WIDTH.test(char) ? 1 : 0.55;
}

/** Running widths: entry i is the width in pixels of the first i code units of the text. */
export function runningWidths(text: string, size: number): Float64Array {
  const { advances, kerns } = widths();
  const out = new Float64Array(text.length + 1);
  const scale = size / unitsPerEm;
  let width = 0;
  let before = -1;
  for (let at = 0; at < text.length; ) {
    const point = text.codePointAt(at)!;
    const step = point > 0xffff ? 2 : 1;
    const advance = advances.get(point);
    width += advance === undefined ? fallbackEm(String.fromCodePoint(point)) * size : advance * scale;
    if (before >= 0) width += (kerns.get(pairKey(before, point)) ?? 0) * scale;
    before = point;
    for (let unit = 1; unit <= step; unit++) out[at + unit] = width;
    at += step;
  }
  return out;
}

/** Width of a line in pixels, set in an Arial-metric face with kerning at a size in pixels. */
export const pixelWidth = (text: string, size: number): number => runningWidths(text, size)[text.length];

/** Type sizes of a results listing in pixels. */
export const TITLE_SIZE = 20;
export const DESCRIPTION_SIZE = 14;
