import { Gap, type Tokens } from './tokens.ts';
import type { WordBases } from './word-bases.ts';

/** One use of a term in a text, by the places of its first and last word. */
export interface TermUse {
  /** Index among the keys. */
  term: number;
  first: number;
  last: number;
}

/** Finds the uses of many terms, given by their keys, within clauses. Cost grows with the text, not with the terms. */
export class TermCounter {
  private readonly byFirst = new Map<number, { term: number; words: number[] }[]>();

  constructor(
    keys: readonly string[],
    private readonly bases: WordBases,
  ) {
    keys.forEach((key, term) => {
      const words = key.split(' ').map((word) => bases.numberOf(word));
      const same = this.byFirst.get(words[0]);
      if (same) same.push({ term, words });
      else this.byFirst.set(words[0], [{ term, words }]);
    });
  }

  uses({ ids, gaps, sentences, length }: Tokens): TermUse[] {
    const found: TermUse[] = [];
    for (let first = 0; first < length; first++) {
      const terms = this.byFirst.get(this.bases.base(ids[first]));
      if (!terms) continue;
      for (const { term, words } of terms) {
        const last = first + words.length - 1;
        if (last >= length) continue;
        let at = 1;
        while (
          at < words.length &&
          this.bases.base(ids[first + at]) === words[at] &&
          gaps[first + at] !== Gap.Clause &&
          sentences[first + at] === sentences[first]
        )
          at += 1;
        if (at === words.length) found.push({ term, first, last });
      }
    }
    return found;
  }
}
