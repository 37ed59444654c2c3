import { plainWords, stem, type WordBases } from '../language/index.ts';
import { saying, stemsSaid, wantOf } from '../meaning/index.ts';
import type { SpokenIndex } from './fidelity.ts';
import { isTelling } from './telling.ts';
import type { TalkSentence } from './written-talk.ts';

/** A place of the talk where the speaker came near a phrase. */
export interface NearPlace {
  text: string;
  start: number | null;
  speaker: string;
  /** How much of the phrase is said there, 0-1. */
  near: number;
}

/** A phrase that is wished for and that nobody said. */
export interface Unspoken {
  phrase: string;
  /** Those of its telling words that nobody said, in any form. */
  words: string[];
  /** The sentences that came nearest to it, the nearest first. */
  places: NearPlace[];
}

const PLACES = 3;
/** What says less of a phrase is not near it. */
const NEAR = 0.35;
/** How much of nearness is that words of the phrase stand there themselves. */
const HELD = 0.5;

/**
 * What of a phrase (a keyword, a heading, a meta title) nobody said, and the sentences of the talk that came nearest, in words of
 * its kin too. Null where all its telling words were said.
 */
export function unspoken(
  phrase: string,
  spoken: SpokenIndex,
  sentences: readonly TalkSentence[],
  bases: WordBases,
): Unspoken | null {
  const words = plainWords(phrase).filter((word) => isTelling(word) && !spoken.holds(word));
  if (words.length === 0) return null;
  const want = wantOf(phrase, new Set(), bases);
  const said = stemsSaid(phrase, bases).filter((each) => !words.some((word) => stem(word) === each));
  const places = sentences
    .map(({ text, start, speaker }) => {
      const stems = new Set(stemsSaid(text, bases));
      const near = saying(want, (each) => stems.has(each));
      // A place that holds a word of the phrase itself is nearer than one that only means it.
      const held = said.filter((each) => stems.has(each)).length / Math.max(1, said.length);
      return { text, start, speaker, near: (1 - HELD) * near + HELD * held };
    })
    .filter(({ near }) => near >= NEAR)
    .sort((a, b) => b.near - a.near || (a.text < b.text ? -1 : 1))
    .slice(0, PLACES);
  return { phrase, words: [...new Set(words)], places };
}
