import { languageRules } from './languages/index.ts';
import type { Tokens } from './tokens.ts';
import type { Vocabulary } from './vocabulary.ts';

/** What reading formulas count of words. */
export interface MeasuredWords {
  syllables: number;
  letters: number;
  longWords: number;
}

/** Letters beyond which a word is long. */
const LONG = 6;
const LETTER = /\p{L}/gu;

/** Adds up what the reading formula of a language counts of texts; of English, and where no formula is known, syllables as English has them. */
export class WordMeasure {
  private readonly syllables: ((word: string) => number) | null;
  private readonly known: (Omit<MeasuredWords, 'longWords'> | undefined)[] = [];

  constructor(
    language: string,
    private readonly vocabulary: Vocabulary,
  ) {
    this.syllables = languageRules(language)?.syllables ?? null;
  }

  /** The sums over a text. */
  of({ ids, length }: Tokens): MeasuredWords {
    const sums: MeasuredWords = { syllables: 0, letters: 0, longWords: 0 };
    const { syllables } = this;
    if (!syllables) {
      for (let at = 0; at < length; at++) sums.syllables += this.vocabulary.syllables(ids[at]);
      return sums;
    }
    for (let at = 0; at < length; at++) {
      const id = ids[at];
      let word = this.known[id];
      if (!word) {
        const form = this.vocabulary.form(id);
        word = { syllables: syllables(form), letters: form.match(LETTER)?.length ?? 0 };
        this.known[id] = word;
      }
      sums.syllables += word.syllables;
      sums.letters += word.letters;
      if (word.letters > LONG) sums.longWords += 1;
    }
    return sums;
  }
}
