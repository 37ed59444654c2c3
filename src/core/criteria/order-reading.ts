import type { StyleReading } from './sentence-style.ts';
import type { StemCounts } from './stem-counts.ts';

/** What a block tells of the order of its sentences. */
export interface OrderReading {
  sentences: number;
  style: StyleReading;
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
