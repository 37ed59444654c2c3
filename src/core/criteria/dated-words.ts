import type { AgeingWords } from './wordings/index.ts';

/** Words of a block that age, or that have. */
export interface DatedWords {
  start: number;
  end: number;
  /** The year that a heading names, or that a figure is of; null for a word such as "recently". */
  year: number | null;
  kind: 'word' | 'heading' | 'figure';
}

const NONE: DatedWords[] = [];

const YEAR = /(?<![\d./-])(?:19|20)\d\d(?![\d./-]|\p{L})/gu;

/** The years that a text names, as numbers. */
export const yearsIn = (text: string): number[] => [...text.matchAll(YEAR)].map(([year]) => Number(year));

/**
 * The years in a heading, and in running text the words that age (looked for where one of their hints stands: `hinted`) and
 * the years of its figures.
 */
export function datedWords(
  text: string,
  { heading, prose, hinted }: { heading: boolean; prose: boolean; hinted: boolean },
  claims: readonly { start: number; end: number; quote: string }[],
  ageing: AgeingWords,
): DatedWords[] {
  if (heading) {
    const years = /\d{4}/.test(text) ? yearsIn(text) : [];
    return years.length === 0
      ? NONE
      : years.map((year) => ({ start: 0, end: text.length, year, kind: 'heading' }));
  }
  if (!prose) return NONE;
  const found: DatedWords[] = [];
  if (hinted)
    for (const { index, 0: said } of text.matchAll(ageing.words))
      found.push({ start: index, end: index + said.length, year: null, kind: 'word' });
  for (const { start, end, quote } of claims)
    for (const [, year] of quote.matchAll(ageing.dated))
      found.push({ start, end, year: Number(year), kind: 'figure' });
  return found.length === 0 ? NONE : found;
}
