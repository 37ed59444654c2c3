import type { Limits } from '../../criteria/index.ts';
import { DESCRIPTION_SIZE, effectiveMetaTitle, pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { type FieldValue, fieldValue, type Pattern } from './pattern.ts';
import { pixelsOf, type TitleShown, wordsWished } from './request.ts';

/** A piece of an answer and what it misses; null: it keeps to everything. */
export interface CheckedPiece {
  text: string;
  miss: string | null;
}

/** Shares of the words wished for from and to which a text is as long as it was asked for. */
const WORDS_FROM = 0.6;
const WORDS_TO = 1.5;

/** Pixels of a piece where its width counts. */
export function pieceWidth(text: string, { rules: { width } }: Pattern, site: TitleShown): number | null {
  if (width === null) return null;
  return width === 'title'
    ? pixelWidth(effectiveMetaTitle(text, text, site.titlePattern, site.name), TITLE_SIZE)
    : pixelWidth(text, DESCRIPTION_SIZE);
}

/** Holds each piece of an answer against the rules of its pattern. */
export function checkedPieces(
  pieces: readonly string[],
  pattern: Pattern,
  values: readonly FieldValue[],
  limits: Limits,
  site: TitleShown,
): CheckedPiece[] {
  const pixels = pixelsOf(pattern, limits);
  const { characters, width } = pattern.rules;
  const [keyword = ''] = fieldValue(values, 'keywords').split('\n');
  return pieces.map((text) => {
    const wide = pieceWidth(text, pattern, site);
    let miss: string | null = null;
    if (wide !== null && pixels && wide > pixels[1])
      miss = `"${start(text)}" is ${Math.round(wide - pixels[1])} pixels too wide: make it about ${tooMany(text, wide, pixels[1])} characters shorter.`;
    else if (wide !== null && pixels && wide < pixels[0])
      miss = `"${start(text)}" is short by ${Math.round(pixels[0] - wide)} pixels: say more.`;
    else if (characters !== null && [...text].length > characters)
      miss = `"${start(text)}" has ${[...text].length} characters; ${characters} are the most.`;
    else if (width !== null && keyword.trim() && !text.toLowerCase().includes(keyword.trim().toLowerCase()))
      miss = `"${start(text)}" does not hold "${keyword.trim()}".`;
    return { text, miss };
  });
}

const start = (text: string) => (text.length > 48 ? `${text.slice(0, 47).trimEnd()}…` : text);
const tooMany = (text: string, wide: number, most: number) =>
  Math.max(1, Math.ceil([...text].length * (1 - most / wide)));

/** What a whole answer misses, in sentences that can be said to whoever wrote it; none: nothing. */
export function answerMisses(
  pieces: readonly string[],
  pattern: Pattern,
  values: readonly FieldValue[],
  limits: Limits,
  site: TitleShown,
): string[] {
  if (pieces.length === 0) return ['Nothing was answered.'];
  const checked = checkedPieces(pieces, pattern, values, limits, site);
  const misses = checked.flatMap(({ miss }) => miss ?? []);
  const { pieces: wished } = pattern.rules;
  // Where some keep to everything, those that do not are no reason to ask again.
  if (
    wished !== null &&
    checked.some(({ miss }) => miss === null) &&
    pieces.length - misses.length >= Math.ceil(wished / 2)
  )
    return [];
  if (wished !== null && pieces.length < Math.ceil(wished / 2))
    misses.push(`${pieces.length} came; ${wished} were asked for.`);
  const words = wordsWished(pattern, values);
  if (words !== null && pattern.readAs === 'paragraphs') {
    const came = wordsOf(pieces);
    if (came < words * WORDS_FROM || came > words * WORDS_TO)
      misses.push(`It has ${came} words; about ${words} were asked for.`);
  }
  return misses;
}

/** Words of the pieces of an answer. */
export const wordsOf = (pieces: readonly string[]): number =>
  pieces.reduce((sum, piece) => sum + (piece.match(/[\p{L}\p{N}][\p{L}\p{N}'’-]*/gu)?.length ?? 0), 0);
