import { fold, isFunctionWord, plainWords, stem } from '../../language/index.ts';
import { titleLikeness } from '../titles/index.ts';
import type { ReadAs } from './pattern.ts';

/** Titles and headlines that are alike by so much are the same to a reader. */
const ALIKE_LINES = 0.86;
/** Texts of which so much of the shorter one's rows of three words stand in the other say the same again. */
const ALIKE_TEXTS = 0.5;

const rowsOf = (text: string): Set<string> => {
  const words = plainWords(text)
    .filter((word) => !isFunctionWord(word))
    .map(stem);
  const rows = new Set<string>();
  for (let at = 0; at + 2 < words.length; at++) rows.add(words.slice(at, at + 3).join(' '));
  return rows;
};

/** How much two texts say the same, 0-1: rows of three telling words that both have, over those of the shorter one. */
export function textLikeness(one: string, other: string): number {
  if (fold(one.trim()) === fold(other.trim())) return 1;
  const [a, b] = [rowsOf(one), rowsOf(other)];
  const least = Math.min(a.size, b.size);
  if (least === 0) return 0;
  let both = 0;
  for (const row of a) if (b.has(row)) both += 1;
  return both / least;
}

/** Whether a piece says what one before it said. */
export function isRepeat(piece: string, before: readonly string[], readAs: ReadAs): boolean {
  const short = readAs === 'lines' || readAs === 'headings';
  return before.some((other) =>
    short
      ? fold(bare(piece)) === fold(bare(other)) || titleLikeness(bare(piece), bare(other)) >= ALIKE_LINES
      : textLikeness(piece, other) >= ALIKE_TEXTS,
  );
}

const bare = (text: string) =>
  text
    .replace(/^#+\s*/, '')
    .replace(/[\s.:!?]+$/, '')
    .trim();

/** The pieces that say something new, held against earlier answers and against each other, and how many do not. */
export function withoutRepeats(
  pieces: readonly string[],
  before: readonly string[],
  readAs: ReadAs,
): { fresh: string[]; dropped: number } {
  const fresh: string[] = [];
  for (const piece of pieces) {
    // Within one text a paragraph may take up what another said; a list has nothing twice.
    const held = readAs === 'lines' || readAs === 'headings' ? [...before, ...fresh] : before;
    if (!isRepeat(piece, held, readAs)) fresh.push(piece);
  }
  return { fresh, dropped: pieces.length - fresh.length };
}
