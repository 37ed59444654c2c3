import type { Block } from '../draft/index.ts';
import type { MatchKind } from '../language/index.ts';
import type { Evidence, Measure } from './criterion.ts';
import type { DraftFacts } from './draft-facts.ts';

/** Evidence for a place in a block. */
export const placeIn = (block: Block, index: number, start: number, end: number): Evidence => ({
  block: index,
  blockId: block.id,
  start,
  end,
  quote: block.text.slice(start, end),
});

/** Evidence for a whole block; a picture is quoted by its address. */
export const wholeBlock = (block: Block, index: number): Evidence =>
  block.image
    ? { block: index, blockId: block.id, start: 0, end: 0, quote: block.image.src }
    : placeIn(block, index, 0, block.text.length);

/** A measure without places in the text. */
export const measure = (
  share: number,
  measured: Measure['measured'],
  advice: string,
  evidence: Evidence[] = [],
): Measure => ({ share, measured, advice, evidence });

/** What a criterion of substance leaves of everything else: all of it at a full share, `least` at none. */
export const leavesAtLeast =
  (least: number) =>
  (_facts: DraftFacts, share: number): number =>
    least + (1 - least) * share;

// One formatter for all: making one costs more than a whole criterion, and even asking it more than several.
const numbers = new Intl.NumberFormat('en');
const threes = (n: number): string => String(n).padStart(3, '0');

/** `1,640`. */
export function grouped(n: number): string {
  if (!Number.isInteger(n) || n < 0 || n >= 1_000_000) return numbers.format(n);
  return n < 1000 ? String(n) : `${Math.floor(n / 1000)},${threes(n % 1000)}`;
}

/** `1 word`, `3 words`. */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${grouped(n)} ${n === 1 ? one : many}`;

/** What every criterion about the keyword says where there is none. */
export const NO_KEYWORD: Measure = {
  ...measure(0, null, 'Set a primary keyword on Target.'),
  place: 'target',
};

const KIND_WORDS: Record<MatchKind, string> = {
  exact: 'exact',
  joined: 'hyphenated or joined',
  inflected: 'inflected',
  split: 'near, split by other words',
  reordered: 'near, in another order',
};

/** How a match kind reads in a note. */
export const kindInWords = (kind: MatchKind | null): string =>
  kind !== null ? KIND_WORDS[kind] : 'not found';
