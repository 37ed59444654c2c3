import type { MeasuredWords } from '../language/index.ts';
import type { BlockReading } from './block-reader.ts';
import type { Limits } from './limits.ts';

/** A block's reading with its index in the draft. */
export interface Placed {
  index: number;
  reading: BlockReading;
}

/** What is added up over a draft, in one pass that every criterion shares: walking all blocks for each would cost more than all else. */
export interface DraftTotals {
  words: number;
  /** Weighted uses of the primary keyword. */
  useCount: number;
  /** Counts over the blocks that hold sentences: running text, and labels that are sentences. Reading ease follows from them. */
  read: { words: number; sentences: number } & MeasuredWords;
  /** Sentences of running text: paragraphs, list items, quotes. */
  proseSentences: number;
  paragraphs: number;
  longParagraphs: Placed[];
  /** Blocks with sentences over the limit, and how many such sentences there are. */
  withLongSentences: Placed[];
  longSentences: number;
  withClaims: Placed[];
  claims: number;
  withStockPhrases: Placed[];
  stockPhrases: number;
  /** Blocks with words that age, or with years. */
  withDated: Placed[];
  /** Blocks that use the primary keyword, each with the words that stand before the block. */
  withUses: (Placed & { wordsBefore: number })[];
  /** For each supporting keyword the best match value; 0 where it is not there. */
  supportingValues: Float64Array;
  /** Uses of each of the study's terms. */
  termUses: Uint32Array;
  /** Lists, tables and quotes. */
  scanPoints: number;
  /** How likely the words of the running text follow each other as in sentences; see `proseLikeness`. */
  likeness: { sum: number; steps: number };
  withDisorder: Placed[];
  /** Words between headings, each run with the first block that goes past the limit. */
  runs: { words: number; past: Placed | null }[];
  /** Blocks that load something: pictures and embeds. */
  loading: Placed[];
}

/** Adds the readings of a draft's blocks up; the title's (-1: none) is left out, so that it counts alike wherever it stands. */
export function draftTotals(
  readings: readonly BlockReading[],
  titleBlock: number,
  phrases: { supporting: number; terms: number },
  { headingRunWords, paragraphWords }: Limits,
): DraftTotals {
  const read = { words: 0, sentences: 0, syllables: 0, letters: 0, longWords: 0 };
  const totals: DraftTotals = {
    words: 0,
    useCount: 0,
    read,
    proseSentences: 0,
    paragraphs: 0,
    longParagraphs: [],
    withLongSentences: [],
    longSentences: 0,
    withClaims: [],
    claims: 0,
    withStockPhrases: [],
    stockPhrases: 0,
    withDated: [],
    withUses: [],
    supportingValues: new Float64Array(phrases.supporting),
    termUses: new Uint32Array(phrases.terms),
    scanPoints: 0,
    runs: [],
    loading: [],
    likeness: { sum: 0, steps: 0 },
    withDisorder: [],
  };
  const values = totals.supportingValues;
  let run = 0;
  let past: Placed | null = null;
  let container = '';
  for (let index = 0; index < readings.length; index++) {
    if (index === titleBlock) continue;
    const reading = readings[index];
    const { words, sentences } = reading;
    if (reading.level > 0) {
      if (run > 0) totals.runs.push({ words: run, past });
      run = 0;
      past = null;
    } else {
      run += words;
      if (past === null && run > headingRunWords && words > 0) past = { index, reading };
    }
    if (reading.uses.length > 0) {
      totals.withUses.push({ index, reading, wordsBefore: totals.words });
      totals.useCount += reading.useCount;
    }
    const found = reading.supporting;
    for (let at = 0; at < found.length; at++)
      if (found[at].value > values[found[at].index]) values[found[at].index] = found[at].value;
    const { termUses } = reading;
    for (let at = 0; at < termUses.length; at++) totals.termUses[termUses[at].term] += 1;
    totals.words += words;
    if (sentences > 0) {
      read.words += words;
      read.sentences += sentences;
      read.syllables += reading.measured.syllables;
      read.letters += reading.measured.letters;
      read.longWords += reading.measured.longWords;
    }
    if (reading.likeness !== null) {
      totals.likeness.sum += reading.likeness.sum;
      totals.likeness.steps += reading.likeness.steps;
      if (reading.disorderly.length > 0) totals.withDisorder.push({ index, reading });
    }
    if (reading.prose) {
      totals.proseSentences += sentences;
      if (reading.paragraph) {
        totals.paragraphs += 1;
        if (words > paragraphWords) totals.longParagraphs.push({ index, reading });
      }
      if (reading.longSentences.length > 0) {
        totals.withLongSentences.push({ index, reading });
        totals.longSentences += reading.longSentences.length;
      }
      if (reading.claims.length > 0) {
        totals.withClaims.push({ index, reading });
        totals.claims += reading.claims.length;
      }
    }
    if (reading.stockPhrases.length > 0) {
      totals.withStockPhrases.push({ index, reading });
      totals.stockPhrases += reading.stockPhrases.length;
    }
    if (reading.dated.length > 0) totals.withDated.push({ index, reading });
    if (reading.loads) totals.loading.push({ index, reading });
    if (reading.container !== container) {
      if (reading.container !== '') totals.scanPoints += 1;
      container = reading.container;
    }
  }
  if (run > 0) totals.runs.push({ words: run, past });
  return totals;
}
