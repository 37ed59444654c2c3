import { isEnglish } from './detect.ts';
import { languageRules } from './languages/index.ts';
import { fleschReadingEase, type ReadingCounts } from './readability.ts';

/** What a language's reading formula makes of a text. */
export interface ReadingEase {
  /** Whose formula it is, with the year. */
  formula: string;
  /** On the formula's own scale. */
  figure: number;
  /** What it should be at least (or, where more is harder, at most) to be as easy as a figure on Flesch's scale. */
  wanted: (flesch: number) => number;
  /** How far below what is wanted it is, in steps of Flesch's scale; below 0 where it is easier. */
  short: (flesch: number) => number;
  /** Whether a greater figure is a harder text. */
  moreIsHarder: boolean;
}

/** Flesch's figure of a text that most adults read easily, which stands for the standard of other formulas. */
const STANDARD = 60;

/** Whether a reading formula is known for a language. */
export const hasReadingFormula = (language: string): boolean =>
  isEnglish(language) || languageRules(language) !== null;

/** How easy a text is to read by the formula of its language; null where none is known, or there are no sentences. */
export function readingEaseOf(language: string, counts: ReadingCounts): ReadingEase | null {
  if (counts.words === 0 || counts.sentences === 0) return null;
  const rules = isEnglish(language) ? null : languageRules(language);
  if (!isEnglish(language) && !rules) return null;
  const { standard, step, name } = rules?.ease ?? { standard: STANDARD, step: 1, name: 'Flesch (1948)' };
  const figure = rules ? rules.ease.of(counts) : fleschReadingEase(counts)!;
  const wanted = (flesch: number) => standard + (flesch - STANDARD) * step;
  return {
    formula: name,
    figure,
    wanted,
    short: (flesch) => (wanted(flesch) - figure) / step,
    moreIsHarder: step < 0,
  };
}
