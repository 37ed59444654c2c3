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
  /** By the number of a base: 1 where a term begins with it. Most words begin none, and a look at a list tells it soonest. */
  private readonly begins: Uint8Array;

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
    this.begins = new Uint8Array(Math.max(-1, ...this.byFirst.keys()) + 1);
    for (const base of this.byFirst.keys()) this.begins[base] = 1;
  }

  uses({ ids, gaps, sentences, length }: Tokens): TermUse[] {
    const found: TermUse[] = [];
    const { begins } = this;
    for (let first = 0; first < length; first++) {
      const base = this.bases.base(ids[first]);
      if (base >= begins.length || begins[base] === 0) continue;
      const terms = this.byFirst.get(base)!;
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
