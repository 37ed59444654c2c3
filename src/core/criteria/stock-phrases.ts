import { plainWords } from '../language/index.ts';
import type { StockWords } from './wordings/index.ts';

/** A stock phrase and where it stands; one that opens a sentence can go with its last character. */
export interface StockPhrase {
  start: number;
  end: number;
  /** Whether what follows is the whole statement. */
  opener: boolean;
}

const NONE: StockPhrase[] = [];

interface Sought {
  phrase: string;
  opener: boolean;
}

const known = new WeakMap<StockWords, StockPhrases>();

/** The stock phrases of a language, made ready once: every post of a site asks for them. */
export function stockPhrasesOf(words: StockWords): StockPhrases {
  let found = known.get(words);
  if (!found) {
    found = new StockPhrases(words);
    known.set(words, found);
  }
  return found;
}

/** The stock phrases of a language, looked for by a rare word of each. */
export class StockPhrases {
  private readonly byRare = new Map<string, Sought[]>();
  /** Words one of which stands in every stock phrase. */
  readonly hints: ReadonlySet<string>;

  constructor({ openers, fillers, rare }: StockWords) {
    for (const [phrases, opener] of [
      [openers, true],
      [fillers, false],
    ] as const)
      for (const phrase of phrases) this.add({ phrase, opener }, rare);
    this.hints = new Set(this.byRare.keys());
  }

  private add(sought: Sought, rare: ReadonlySet<string> | undefined): void {
    const words = [...new Set(plainWords(sought.phrase))];
    const by = rare
      ? words.filter((word) => rare.has(word))
      : [words.reduce((longest, word) => (word.length > longest.length ? word : longest))];
    for (const word of by) this.byRare.set(word, [...(this.byRare.get(word) ?? []), sought]);
  }

  /** The stock phrases of a text, in its order; `hints` are those that it holds. */
  in(text: string, hints: readonly string[]): StockPhrase[] {
    const wanted = new Set(hints.flatMap((hint) => this.byRare.get(hint) ?? []));
    if (wanted.size === 0) return NONE;
    const low = text.toLowerCase().replaceAll('’', "'");
    // A few letters grow when their case changes: places would not be those of the text.
    if (low.length !== text.length) return NONE;
    const found = new Map<number, StockPhrase>();
    for (const { phrase, opener } of wanted)
      for (let at = low.indexOf(phrase); at >= 0; at = low.indexOf(phrase, at + phrase.length)) {
        const end = at + phrase.trimEnd().length;
        if (/[\p{L}\p{N}]/u.test(text[at - 1] ?? '')) continue;
        if (/[\p{L}\p{N}]$/u.test(phrase) && /[\p{L}\p{N}]/u.test(text[end] ?? '')) continue;
        const begins = at === 0 || /[.!?]["'”’)]?\s+$/.test(text.slice(Math.max(0, at - 4), at));
        found.set(at, { start: at, end, opener: opener && begins });
      }
    return found.size === 0 ? NONE : [...found.values()].sort((a, b) => a.start - b.start);
  }
}
