import { isMostlyVerb, partOfSpeech, type Vocabulary, type WordBases } from '../language/index.ts';
import type { BlockReader, BlockReading } from './block-reader.ts';
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
// By the number of a base: the block that named it last, as counted over all that were read; one list does for all.
let namedBy: Int32Array = new Int32Array(4096);
let blocksRead = 0;

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
  blocksRead += 1;
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
      if (base >= namedBy.length) namedBy = withRoomFor(base, namedBy);
      if (namedBy[base] !== blocksRead) found.push(base);
      namedBy[base] = blocksRead;
    }
    if (at + 1 === length || sentences[at + 1] !== sentences[at]) {
      baseEnds.push(found.length);
      wordEnds.push(at + 1);
    }
  }
  return {
    bases: new Int32Array(found),
    baseEnds: new Int32Array(baseEnds),
    wordEnds: new Int32Array(wordEnds),
  };
}

/** What the last text of a reader named, and where: a key changes one block, and little of this. */
interface Names {
  readings: readonly BlockReading[];
  /** By the number of a base: one more than the index of the first block that names it; 0 where none does. */
  first: Int32Array;
  /** By the number of a base: how many blocks name it. */
  blocks: Int32Array;
  /** By block and sentence: 1 where the sentence brings a name that no block before has. */
  fresh: Uint8Array[];
}

const texts = new WeakMap<BlockReader, Names>();

/** Notes that a block names a base, where none before it does; the block that was first has lost one then. */
function nameAt({ first }: Names, base: number, at: number, affected: Set<number>): boolean {
  const before = first[base];
  if (before > 0 && before <= at + 1) return false;
  if (before > 0) affected.add(before - 1);
  first[base] = at + 1;
  affected.add(at);
  return true;
}

/** Where each name of a text stands first, and so which sentences bring one; only what changed is looked at again. */
function namesOf({ readings, reader }: DraftFacts): Names {
  const { vocabulary, bases } = reader;
  let names = texts.get(reader);
  if (names?.readings.length !== readings.length) {
    const size = Math.max(4096, vocabulary.size);
    names = { readings: [], first: new Int32Array(size), blocks: new Int32Array(size), fresh: [] };
    texts.set(reader, names);
  }
  const changed: number[] = [];
  const lost: { base: number; at: number }[] = [];
  for (let at = 0; at < readings.length; at++) {
    const old = names.readings[at];
    if (old === readings[at]) continue;
    changed.push(at);
    if (old?.named)
      for (const base of old.named.bases) {
        names.blocks[base] -= 1;
        if (names.first[base] !== at + 1) continue;
        names.first[base] = 0;
        lost.push({ base, at });
      }
  }
  const affected = new Set(changed);
  for (const at of changed) {
    // Kept with the reading: to look it up elsewhere would cost as much as the whole pass.
    readings[at].named ??= namedIn(readings[at], vocabulary, bases);
    for (const base of readings[at].named!.bases) {
      if (base >= names.first.length) {
        names.first = withRoomFor(base, names.first);
        names.blocks = withRoomFor(base, names.blocks);
      }
      names.blocks[base] += 1;
      nameAt(names, base, at, affected);
    }
  }
  // What its first block names no more may be named by one after it.
  const gone = new Set<number>();
  for (const { base, at } of lost) if (names.first[base] !== at + 1 && names.blocks[base] > 0) gone.add(base);
  for (let at = 0; gone.size > 0 && at < readings.length; at++)
    for (const base of readings[at].named!.bases)
      if (gone.has(base)) {
        nameAt(names, base, at, affected);
        gone.delete(base);
      }
  names.readings = readings;
  for (const at of affected) names.fresh[at] = freshSentences(readings[at].named!, names.first, at);
  return names;
}

function withRoomFor(most: number, before: Int32Array): Int32Array {
  const after = new Int32Array(Math.max(most + 1, 2 * before.length));
  after.set(before);
  return after;
}

/** By the sentences of a block: 1 where one brings a name of which the block is the first. */
function freshSentences({ bases, baseEnds }: NamedInBlock, first: Int32Array, at: number): Uint8Array {
  const fresh = new Uint8Array(baseEnds.length);
  let base = 0;
  for (let sentence = 0; sentence < baseEnds.length; sentence++)
    for (const to = baseEnds[sentence]; base < to; base++)
      if (first[bases[base]] === at + 1) fresh[sentence] = 1;
  return fresh;
}

/** Long runs of sentences that say nothing of their own: each of their nouns stood in the post before. */
export function staleRuns(facts: DraftFacts): StaleRun[] {
  const { readings, words: all } = facts;
  if (all > MOST) return [];
  const names = namesOf(facts);
  const runs: StaleRun[] = [];
  let [words, said, block, first, last] = [0, 0, 0, 0, 0];
  const end = () => {
    if (words >= longAfter(said - words)) {
      const { starts, ends } = readings[block].tokens;
      runs.push({ words, block, start: starts[first], end: ends[last - 1] });
    }
    words = 0;
  };
  for (let index = 0; index < readings.length; index++) {
    const { named, prose } = readings[index];
    if (!prose) continue;
    const { wordEnds } = named!;
    const fresh = names.fresh[index];
    let word = 0;
    for (let sentence = 0; sentence < wordEnds.length; sentence++) {
      const count = wordEnds[sentence] - word;
      if (fresh[sentence] === 1) end();
      said += count;
      if (fresh[sentence] === 0) {
        if (words === 0) [block, first] = [index, word];
        words += count;
        if (block === index) last = wordEnds[sentence];
      }
      word = wordEnds[sentence];
    }
  }
  end();
  return runs;
}
