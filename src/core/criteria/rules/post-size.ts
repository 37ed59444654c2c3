import { criterion } from '../criterion.ts';
import { count, grouped, leavesAtLeast, measure } from '../judging.ts';
import { wishedWords } from './body-length.ts';

/** What all else earns at least in a draft that has hardly begun: its notes are still worth reading. */
const LEAST = 0.35;
/** The part of the length wished from which a draft can be judged as a post. */
const PART = 1 / 3;

export const postSize = criterion({
  id: 'post-size',
  group: 'substance',
  title: 'Enough to be a post',
  unit: 'words',
  place: 'text',
  weight: 2,
  needs: [],
  target: ({ postWords }, facts, { study }) =>
    `${grouped(floorOf(postWords, wishedWords(facts.fields, study)))} words`,
  measure({ words, fields, settings: { limits } }, { study }) {
    const floor = floorOf(limits.postWords, wishedWords(fields, study));
    if (words >= floor) return measure(1, words, '');
    return measure(
      words / floor,
      words,
      `${count(words, 'word')}: too little to be judged as a post. From ${count(floor, 'word')} on, everything else counts in full.`,
    );
  },
  holdsBack: leavesAtLeast(LEAST),
});

const floorOf = (otherwise: number, wished: number | null): number =>
  wished === null ? otherwise : Math.max(1, Math.round(wished * PART));
