import { isMostlyVerb, partOfSpeech, type Vocabulary, type WordBases } from '../language/index.ts';
import type { BlockReading } from './block-reader.ts';
import type { DraftFacts } from './draft-facts.ts';

/** Words in a row without a new noun that are worth a note: articles of up to 2,500 words hardly have such a run. */
const LONG = 80;
/** The more was said, the less is left to name: beyond so many words each twentieth makes the run longer. */
const MUCH = 800;
/** A text of more words has everything named: no run in it would be long enough. */
const MOST = 8000;
const longAfter = (words: number): number => LONG + Math.max(0, words - MUCH) / 20;

/** Running text that brings no noun which the post has not had before. */
export interface StaleRun {
  words: number;
  /** Index of its first block, and where in it the run begins and ends (at most the block's end). */
  block: number;
  start: number;
  end: number;
}

/** Kinds of words that may name something: nouns, words that are noun or verb, names, words nobody listed. */
const NAMING = new Set([undefined, 'n', 'm', 'o']);

/** By the number of a word: 0 not looked at yet, 1 may name something, 2 does not. */
const kinds = new WeakMap<Vocabulary, Uint8Array>();

function kindsOf(vocabulary: Vocabulary): Uint8Array {
  let found = kinds.get(vocabulary);
  if (!found || found.length < vocabulary.size) {
    const more = new Uint8Array(2 * vocabulary.size);
    if (found) more.set(found);
    found = more;
    kinds.set(vocabulary, found);
  }
  return found;
}

type NamedInBlock = NonNullable<BlockReading['named']>;

function namedIn({ tokens }: BlockReading, vocabulary: Vocabulary, bases: WordBases): NamedInBlock {
  const naming = kindsOf(vocabulary);
  const { ids, sentences, length } = tokens;
  const found: number[] = [];
  const seen = new Set<number>();
  const baseEnds: number[] = [];
  const wordEnds: number[] = [];
  for (let at = 0; at < length; at++) {
    const id = ids[at];
    if (naming[id] === 0) {
      // Forms are what their base is.
      const base = bases.text(bases.base(id));
      const names = !vocabulary.isFunction(id) && NAMING.has(partOfSpeech(base)) && !isMostlyVerb(base);
      naming[id] = names ? 1 : 2;
    }
    // What a block has named already is new to no sentence after it.
    if (naming[id] === 1) {
      const base = bases.base(id);
      if (!seen.has(base)) found.push(base);
      seen.add(base);
    }
    if (at + 1 === length || sentences[at + 1] !== sentences[at]) {
      baseEnds.push(found.length);
      wordEnds.push(at + 1);
    }
  }
  for (const base of found) makeRoom(base);
  return {
    bases: Int32Array.from(found),
    baseEnds: Int32Array.from(baseEnds),
    wordEnds: Int32Array.from(wordEnds),
  };
}

/** By the number of a base: the last pass in which it was met. One for all: passes are not mixed. */
let met = new Int32Array(4096);
let pass = 0;

function makeRoom(most: number): void {
  if (most < met.length) return;
  const more = new Int32Array(Math.max(most + 1, 2 * met.length));
  more.set(met);
  met = more;
}

/** Long runs of sentences that say nothing of their own: each of their nouns stood in the post before. */
export function staleRuns({ readings, words: all, reader: { vocabulary, bases } }: DraftFacts): StaleRun[] {
  if (all > MOST) return [];
  pass += 1;
  const runs: StaleRun[] = [];
  let [words, said, block, first, last] = [0, 0, 0, 0, 0];
  const end = () => {
    if (words >= longAfter(said - words)) {
      const { starts, ends } = readings[block].tokens;
      runs.push({ words, block, start: starts[first], end: ends[last - 1] });
    }
    words = 0;
  };
  // With every key it goes through the whole post: what a block names is kept, and nothing is made on the way.
  for (let index = 0; index < readings.length; index++) {
    const reading = readings[index];
    // Kept with the reading: to look it up elsewhere would cost as much as the whole pass.
    reading.named ??= namedIn(reading, vocabulary, bases);
    const { bases: list, baseEnds, wordEnds } = reading.named;
    const seen = met;
    let base = 0;
    let word = 0;
    for (let sentence = 0; sentence < wordEnds.length; sentence++) {
      let isFresh = false;
      for (const to = baseEnds[sentence]; base < to; base++) {
        if (seen[list[base]] === pass) continue;
        seen[list[base]] = pass;
        isFresh = true;
      }
      const count = wordEnds[sentence] - word;
      if (reading.prose) {
        if (isFresh) end();
        said += count;
        if (!isFresh) {
          if (words === 0) [block, first] = [index, word];
          words += count;
          if (block === index) last = wordEnds[sentence];
        }
      }
      word = wordEnds[sentence];
    }
  }
  end();
  return runs;
}
