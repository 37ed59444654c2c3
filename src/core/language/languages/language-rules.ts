import type { ReadingCounts } from '../readability.ts';

/** Which way a small word points; see `phrase`. */
type Pointing = 'towards' | 'from';

/** A reading formula of a language. */
export interface EaseFormula {
  /** Whose it is, with the year. */
  name: string;
  /** The publication that it stands in. */
  source: string;
  /** What it makes of a text with words and sentences. */
  of: (counts: ReadingCounts) => number;
  /** The figure of a text that most adults read easily, on the formula's own scale, where Flesch's is 60. */
  standard: number;
  /** How much on its scale a step of one on Flesch's is; below 0 where more is harder. */
  step: number;
}

/** What a language needs so that keywords are found, texts measured and criteria apply. */
export interface LanguageRules {
  /** ISO 639-1. */
  code: string;
  name: string;
  /** Words of grammar: keywords are found without them. In their folded form. */
  functionWords: ReadonlySet<string>;
  /** Words that turn what is said into its opposite. */
  negations: ReadonlySet<string>;
  /** Articles, which people leave out as they type. */
  articles: ReadonlySet<string>;
  /** Small words that say from where or to where. */
  pointing: ReadonlyMap<string, Pointing>;
  /** Endings of inflected forms, in normal form (without diacritics): what is left stands for the word. */
  endings: readonly string[];
  /** Letters that must be left. */
  leastStem: number;
  /** Other stems that a stem may have before an ending: doubled letters, lengthened vowels. */
  alternates?: (stem: string, ending: string) => string[];
  /** Forms that no rule gives, with their base, in normal form. */
  irregular: ReadonlyMap<string, string>;
  /** Words that look like a form of another and are none, in normal form. */
  own: ReadonlySet<string>;
  /** Stems that name one thing as a masculine and another as a feminine: "porto" is no form of "porta". */
  gendered?: ReadonlySet<string>;
  /** Syllables of a word in its folded form, 1 and more. */
  syllables: (word: string) => number;
  ease: EaseFormula;
  /** Words of links that do not say where they lead, folded and without marks. */
  vagueLinks: ReadonlySet<string>;
  /** Short forms that end in a point and end no sentence, without it. */
  abbreviations: ReadonlySet<string>;
  /** Whether a number with a point is an ordinal there, by what stands before it: "am 3. Mai". */
  ordinalAfter?: RegExp;
}

/** Words in a line as a set. */
export const words = (line: string): ReadonlySet<string> => new Set(line.split(' ').filter(Boolean));

/** Phrases parted by bars as a set. */
export const phrases = (line: string): ReadonlySet<string> => new Set(line.split('|'));

/** `form:base` pairs in a line. */
export const pairs = (line: string): ReadonlyMap<string, string> =>
  new Map(line.split(' ').map((pair) => pair.split(':') as [string, string]));

/**
 * Counts the syllables of a word by its vowels: each run of vowels is one, save where `breaks` finds a place between two vowels that are
 * spoken apart.
 */
export function vowelRuns(word: string, vowels: RegExp, breaks: RegExp | null): number {
  const apart = breaks ? word.replace(breaks, '-') : word;
  return Math.max(1, apart.match(vowels)?.length ?? 1);
}
