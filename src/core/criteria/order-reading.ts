import type { StemCounts } from './stem-counts.ts';

/** What a block tells of the order of its sentences. */
export interface OrderReading {
  sentences: number;
  /** Sentences that lean on what stands before them ("It", "But", "These"). */
  leaning: number;
  /** Whether its first sentence does. */
  opensLeaning: boolean;
  /** Stems of its words, each once, with in how many of its sentences each stands. */
  words: StemCounts;
}

/** A sentence long enough that nobody writes it twice by chance. */
export interface SaidSentence {
  /** The same for sentences of the same words. */
  key: number;
  words: number;
  /** Where it stands in its block. */
  start: number;
  end: number;
}

/** Words that open a sentence which goes on from another. */
export const LEANING: ReadonlySet<string> = new Set(
  (
    'it its this that these those they them their he she but so and then also there both such another however therefore instead ' +
    'otherwise one ones neither either'
  ).split(' '),
);
