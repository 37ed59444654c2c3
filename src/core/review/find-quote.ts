import { diffArrays } from 'diff';
import type { Block } from '../draft/index.ts';

/** Words that a comment is about, with what stood around them: a text quote selector of the Web Annotation data model. */
export interface Quote {
  exact: string;
  prefix: string;
  suffix: string;
  /** Where the words began in the text as a whole, in UTF-16 units; what they are found by where they stand several times. */
  start: number;
}

/** A stretch of a block. */
export interface FoundQuote {
  blockId: string;
  start: number;
  end: number;
  /** What stands there now. */
  text: string;
  /** 1: word for word; less: as much of it is there still. */
  likeness: number;
}

/** Below it the words that are found are others than those that were meant. */
const LEAST_LIKENESS = 0.6;
/** From it on the words themselves are enough; below, something of what stood around them has to be there, too. */
const SURE_LIKENESS = 0.85;
const LEAST_AROUND = 0.3;
/** Words of a quote that are compared, and of what stood around it. */
const WORDS_AROUND = 5;
const MOST_WORDS = 400;

const WORD = /[\p{L}\p{N}]+(?:['’-][\p{L}\p{N}]+)*/gu;
interface Word {
  text: string;
  start: number;
  end: number;
}
const wordsOf = (text: string): Word[] =>
  [...text.matchAll(WORD)].slice(0, 20_000).map((hit) => ({
    text: hit[0].toLowerCase(),
    start: hit.index,
    end: hit.index + hit[0].length,
  }));

/** Letters that two texts share at their end (`before`) or beginning, out of the shorter. */
function sharedAround(a: string, b: string, fromEnd: boolean): number {
  const [x, y] = [a, b].map((text) => text.replace(/\s+/g, ' ').trim().toLowerCase());
  const most = Math.min(x.length, y.length);
  let shared = 0;
  while (
    shared < most &&
    (fromEnd ? x[x.length - 1 - shared] === y[y.length - 1 - shared] : x[shared] === y[shared])
  )
    shared += 1;
  return most === 0 ? 0 : shared / most;
}

function exactPlaces(blocks: readonly Block[], { exact, prefix, suffix, start }: Quote): FoundQuote | null {
  let best: { found: FoundQuote; rank: number } | null = null;
  let offset = 0;
  for (const { id, text } of blocks) {
    for (let at = text.indexOf(exact); at >= 0; at = text.indexOf(exact, at + 1)) {
      const around =
        sharedAround(prefix, text.slice(Math.max(0, at - 60), at), true) +
        sharedAround(suffix, text.slice(at + exact.length, at + exact.length + 60), false);
      // What stands around it tells first; then how near it is to where it stood.
      const rank = around * 1000 - Math.min(999, Math.abs(offset + at - start) / 100);
      if (!best || rank > best.rank)
        best = {
          rank,
          found: { blockId: id, start: at, end: at + exact.length, text: exact, likeness: 1 },
        };
    }
    offset += text.length + 1;
  }
  return best?.found ?? null;
}

/** The stretch of a block in which most of the quote's words still stand in their order, by the places of its words. */
function likeliestIn(
  own: readonly Word[],
  wanted: readonly string[],
): { from: number; to: number; likeness: number } | null {
  const known = new Set(wanted);
  if (own.filter((word) => known.has(word.text)).length < wanted.length * LEAST_LIKENESS) return null;
  const matched: number[] = [];
  let at = 0;
  for (const { added, removed, count = 0 } of diffArrays(
    [...wanted],
    own.map((word) => word.text),
  )) {
    if (!added && !removed) for (let step = 0; step < count; step++) matched.push(at + step);
    if (!removed) at += count;
  }
  // A common word far from the others stretches the find: the densest run of matches is meant.
  let best: { from: number; to: number; likeness: number } | null = null;
  for (let from = 0; from < matched.length; from++)
    for (let to = matched.length - 1; to >= from; to--) {
      const span = matched[to] - matched[from] + 1;
      const likeness = (2 * (to - from + 1)) / (wanted.length + span);
      if (!best || likeness > best.likeness) best = { from: matched[from], to: matched[to], likeness };
    }
  return best;
}

/** The share (0 to 1) of the words around a quote that still stand near a stretch; null where nothing is known of them. */
function aroundStretch(
  own: readonly Word[],
  from: number,
  to: number,
  { prefix, suffix }: Quote,
): number | null {
  // The outermost may be cut in the middle.
  const before = wordsOf(prefix).slice(1).slice(-WORDS_AROUND);
  const after = wordsOf(suffix).slice(0, -1).slice(0, WORDS_AROUND);
  const all = before.length + after.length;
  if (all === 0) return null;
  const near = (start: number, end: number) =>
    new Set(own.slice(Math.max(0, start), Math.max(0, end)).map((word) => word.text));
  const [left, right] = [near(from - 2 * WORDS_AROUND, from), near(to + 1, to + 1 + 2 * WORDS_AROUND)];
  const found =
    before.filter((word) => left.has(word.text)).length + after.filter((word) => right.has(word.text)).length;
  return found / all;
}

/**
 * Finds the words that a comment is about in a text that may have changed since: word for word where they still stand, by what is
 * around them and where they were; else the stretch in which most of them stand in their order. Null where they are gone.
 *
 * @example
 * findQuote(blocks, { exact: 'the ferry waits', prefix: '', suffix: '', start: 0 }); // finds "the old ferry waits" too
 */
export function findQuote(blocks: readonly Block[], quote: Quote): FoundQuote | null {
  if (quote.exact.trim() === '') return null;
  const exact = exactPlaces(blocks, quote);
  if (exact) return exact;
  const wanted = wordsOf(quote.exact)
    .slice(0, MOST_WORDS)
    .map((word) => word.text);
  if (wanted.length === 0) return null;
  let best: { found: FoundQuote; rank: number } | null = null;
  for (const { id, text } of blocks) {
    const own = wordsOf(text);
    const stretch = likeliestIn(own, wanted);
    if (!stretch || stretch.likeness < LEAST_LIKENESS) continue;
    const { from, to, likeness } = stretch;
    const around = aroundStretch(own, from, to, quote);
    // Posts say alike things in several places: words that are alike alone may be others.
    if (around !== null && around < LEAST_AROUND && likeness < SURE_LIKENESS) continue;
    const rank = likeness + (around ?? 0) / 2;
    if (best && rank <= best.rank) continue;
    const [start, end] = [own[from].start, own[to].end];
    best = { rank, found: { blockId: id, start, end, text: text.slice(start, end), likeness } };
  }
  return best?.found ?? null;
}
