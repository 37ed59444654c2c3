import { criterion } from '../criterion.ts';
import { leavesAtLeast, measure, placeIn } from '../judging.ts';
import { ramp } from '../ramp.ts';

/**
 * Likeness of prose at which nothing and everything is earned. Articles and documentation of many trades lie at 0.17 to
 * 0.75, the same with the words of each sentence shuffled at -1.1 to -0.45, lists of keywords at -0.65 to -0.2.
 */
const LIKENESS: [number, number] = [-0.3, 0.1];
/** What all else earns at least in a text that is no prose at all. */
const LEAST = 0.2;
const SHOWN = 5;

export const prose = criterion({
  id: 'prose',
  group: 'substance',
  title: 'Sentences that are sentences',
  place: 'text',
  weight: 3,
  needs: ['words', 'wording'],
  applies: ({ totals }) => totals.likeness.steps > 0,
  target: () => 'words stand as they do in English sentences',
  measure({ totals }) {
    const { sum, steps } = totals.likeness;
    const likeness = sum / steps;
    const share = ramp(likeness, [...LIKENESS, null, null]);
    const places =
      share === 1
        ? []
        : totals.withDisorder
            .slice(0, SHOWN)
            .flatMap(({ index, reading: { block, disorderly } }) =>
              disorderly.map(({ start, end }) => placeIn(block, index, start, end)),
            );
    return measure(
      share,
      Math.round(likeness * 100) / 100,
      'Much of this reads as words, not as sentences. Write it out, or take lists of keywords and muddled text out.',
      places.slice(0, SHOWN),
    );
  },
  holdsBack: leavesAtLeast(LEAST),
});
