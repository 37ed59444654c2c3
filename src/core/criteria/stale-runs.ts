import { isMostlyVerb, partOfSpeech, type Vocabulary } from '../language/index.ts';
import type { DraftFacts } from './draft-facts.ts';

/** Words in a row without a new noun that are worth a note: articles of up to 2,500 words hardly have such a run. */
const LONG = 80;
/** The more was said, the less is left to name: beyond so many words each twentieth makes the run longer. */
const MUCH = 800;
const longAfter = (words: number): number => LONG + Math.max(0, words - MUCH) / 20;

/** Running text that brings no noun which the post has not had before. */
export interface StaleRun {
  words: number;
  /** Index of its first block, and where in it the run begins and ends (at most the block's end). */
  block: number;
  start: number;
  end: number;
}

/** By the number of a word: 0 not looked at yet, 1 may name something, 2 does not. */
const kinds = new WeakMap<Vocabulary, Uint8Array>();
/** Kinds of words that may name something: nouns, words that are noun or verb, names, words nobody listed. */
const NAMING = new Set([undefined, 'n', 'm', 'o']);

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

/** Long runs of sentences that say nothing of their own: each of their nouns stood in the post before. */
export function staleRuns({ readings, reader: { vocabulary, bases } }: DraftFacts): StaleRun[] {
  const naming = kindsOf(vocabulary);
  const isNaming = (id: number) => {
    if (naming[id] === 0) {
      // Forms are what their base is.
      const base = bases.text(bases.base(id));
      naming[id] = NAMING.has(partOfSpeech(base)) && !isMostlyVerb(base) ? 1 : 2;
    }
    return naming[id] === 1;
  };
  const seen = new Set<number>();
  const runs: StaleRun[] = [];
  let run: StaleRun | null = null;
  let said = 0;
  const end = () => {
    if (run && run.words >= longAfter(said - run.words)) runs.push(run);
    run = null;
  };
  for (const [block, { tokens, prose }] of readings.entries()) {
    const { ids, sentences, starts, ends, length } = tokens;
    for (let from = 0; from < length; ) {
      let to = from;
      let isFresh = false;
      for (; to < length && sentences[to] === sentences[from]; to++) {
        const base = bases.base(ids[to]);
        if (seen.has(base) || vocabulary.isFunction(ids[to]) || !isNaming(ids[to])) continue;
        seen.add(base);
        isFresh = true;
      }
      if (isFresh && prose) end();
      if (prose) said += to - from;
      if (!isFresh && prose) {
        run ??= { words: 0, block, start: starts[from], end: 0 };
        run.words += to - from;
        if (run.block === block) run.end = ends[to - 1];
      }
      from = to;
    }
  }
  end();
  return runs;
}
