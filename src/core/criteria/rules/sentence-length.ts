import type { BlockReading } from '../block-reader.ts';
import { criterion, type Evidence, type Fix } from '../criterion.ts';
import { firstFixes } from '../fixing/first-fixes.ts';
import { asEdit } from '../fixing/named-in-text.ts';
import { splitOf } from '../fixing/sentence-splits.ts';
import { count, measure, placeIn } from '../judging.ts';
import { ramp } from '../ramp.ts';

const known = new WeakMap<BlockReading, { index: number; places: Evidence[] }>();

/** The long sentences of a block; asked for with every report, and seldom changed. */
function placesOf(reading: BlockReading, index: number): Evidence[] {
  let found = known.get(reading);
  if (found?.index !== index) {
    const { block, longSentences } = reading;
    found = { index, places: longSentences.map(({ start, end }) => placeIn(block, index, start, end)) };
    known.set(reading, found);
  }
  return found.places;
}

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
    const all = totals.proseSentences;
    const long = totals.longSentences;
    if (all === 0) return measure(0, 'no sentences', 'There is no running text yet.');
    const share = ramp((all - long) / all, limits.sentenceShare);
    const evidence =
      share === 1 ? [] : totals.withLongSentences.flatMap(({ reading, index }) => placesOf(reading, index));
    return measure(
      share,
      `${long} of ${all} long`,
      `${count(long, 'sentence')} ${long === 1 ? 'has' : 'have'} more than ${limits.sentenceWords} words. Split some.`,
      evidence,
    );
  },
  fixes({ totals, english }) {
    if (!english) return [];
    return firstFixes(totals.withLongSentences, ({ reading: { block, longSentences } }): Fix[] =>
      firstFixes(longSentences, ({ start, end }): Fix[] => {
        const change = splitOf(block.text.slice(start, end));
        if (!change) return [];
        const moved = { ...change, start: start + change.start, end: start + change.end };
        const edit = asEdit(block, moved);
        return [{ label: 'Make two sentences of it', edits: [edit], readOver: true }];
      }),
    );
  },
});
