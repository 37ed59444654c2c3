import { criterion } from '../criterion.ts';
import { count, measure, placeIn } from '../judging.ts';
import { ramp } from '../ramp.ts';

export const sentenceLength = criterion({
  id: 'sentence-length',
  group: 'reading',
  title: 'Length of sentences',
  place: 'text',
  weight: 2,
  needs: ['words'],
  target: ({ sentenceShare: [, from], sentenceWords }) =>
    `${Math.round((from ?? 0) * 100)} % of sentences with at most ${sentenceWords} words`,
  measure({ totals, settings: { limits } }) {
    const all = totals.prose.sentences;
    const long = totals.longSentences;
    if (all === 0) return measure(0, 'no sentences', 'There is no running text yet.');
    const share = ramp((all - long) / all, limits.sentenceShare);
    const evidence =
      share === 1
        ? []
        : totals.withLongSentences.flatMap(({ reading: { block, longSentences }, index }) =>
            longSentences.map(({ start, end }) => placeIn(block, index, start, end)),
          );
    return measure(
      share,
      `${long} of ${all} long`,
      `${count(long, 'sentence')} ${long === 1 ? 'has' : 'have'} more than ${limits.sentenceWords} words. Split some.`,
      evidence,
    );
  },
});
