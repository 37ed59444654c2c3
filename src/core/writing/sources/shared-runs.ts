import type { Block } from '../../draft/index.ts';
import { type Tokens, tokenize, type Vocabulary, WordBases } from '../../language/index.ts';

/** Words in a row that two texts share by more than chance. */
export const RUN_WORDS = 7;
/** Words of such a run that must be more than grammar: "at the end of the day it" is anybody's. */
const CONTENT_WORDS = 3;
/** Places of one beginning that are followed: a text that repeats itself is not compared with all of itself. */
const MOST_PLACES = 8;

/** A stretch of a draft that stands in another text word for word. */
export interface SharedRun {
  /** Index of the draft's block, and the stretch in it (UTF-16 code units). */
  block: number;
  start: number;
  end: number;
  words: number;
  /** Where it stands in the other text. */
  otherBlock: number;
  otherStart: number;
  otherEnd: number;
}

type Texts = readonly Pick<Block, 'text'>[];

/** A draft that other texts are held against. */
export class OwnText {
  private readonly tokens: Tokens[];
  private readonly bases: WordBases;
  /** Where each row of seven words begins, by a hash of them. */
  private readonly places = new Map<number, { block: number; at: number }[]>();
  private readonly covered: Uint8Array[];

  constructor(
    blocks: Texts,
    private readonly vocabulary: Vocabulary,
  ) {
    this.bases = WordBases.of(vocabulary);
    this.tokens = blocks.map(({ text }) => tokenize(text, vocabulary));
    this.covered = this.tokens.map(({ length }) => new Uint8Array(length));
    this.tokens.forEach(({ ids, length }, block) => {
      for (let at = 0; at + RUN_WORDS <= length; at++) {
        const key = hashOf(ids, at);
        const list = this.places.get(key);
        if (!list) this.places.set(key, [{ block, at }]);
        else if (list.length < MOST_PLACES) list.push({ block, at });
      }
    });
  }

  /** Share of the draft's words that stand in none of the texts that were held against it so far, 0-1; 1 without words. */
  get ownShare(): number {
    let all = 0;
    let shared = 0;
    for (const flags of this.covered) {
      all += flags.length;
      for (const flag of flags) shared += flag;
    }
    return all === 0 ? 1 : 1 - shared / all;
  }

  /**
   * The longest stretches of seven words and more that stand in another text, in its order; each of the draft's words
   * in one of them at most.
   */
  sharedWith(blocks: Texts): SharedRun[] {
    const runs: SharedRun[] = [];
    const taken = this.tokens.map(({ length }) => new Uint8Array(length));
    blocks.forEach(({ text }, otherBlock) => {
      const other = tokenize(text, this.vocabulary);
      for (let from = 0; from + RUN_WORDS <= other.length; ) {
        const found = this.longestAt(other, from, taken);
        if (!found) {
          from += 1;
          continue;
        }
        const { block, at, words } = found;
        const own = this.tokens[block];
        taken[block].fill(1, at, at + words);
        if (this.saysSomething(own, at, words)) {
          this.covered[block].fill(1, at, at + words);
          runs.push({
            block,
            start: own.starts[at],
            end: own.ends[at + words - 1],
            words,
            otherBlock,
            otherStart: other.starts[from],
            otherEnd: other.ends[from + words - 1],
          });
        }
        from += words;
      }
    });
    return runs;
  }

  private longestAt(other: Tokens, from: number, taken: readonly Uint8Array[]) {
    let best: { block: number; at: number; words: number } | null = null;
    for (const { block, at } of this.places.get(hashOf(other.ids, from)) ?? []) {
      const own = this.tokens[block];
      let words = 0;
      while (
        at + words < own.length &&
        from + words < other.length &&
        own.ids[at + words] === other.ids[from + words] &&
        taken[block][at + words] === 0
      )
        words += 1;
      // Two rows may have one hash and be others.
      if (words >= RUN_WORDS && (!best || words > best.words)) best = { block, at, words };
    }
    return best;
  }

  private saysSomething({ ids }: Tokens, at: number, words: number): boolean {
    let content = 0;
    for (let place = at; place < at + words; place++) if (this.bases.stem(ids[place]) >= 0) content += 1;
    return content >= CONTENT_WORDS;
  }
}

/** FNV-1a over seven word numbers. */
function hashOf(ids: Int32Array, from: number): number {
  let hash = 0x811c9dc5;
  for (let at = from; at < from + RUN_WORDS; at++)
    hash = Math.imul(hash ^ ids[at], 0x01000193) ^ (hash >>> 15);
  return hash >>> 0;
}
