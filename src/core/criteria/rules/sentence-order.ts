import { criterion } from '../criterion.ts';
import { leavesAtLeast, measure } from '../judging.ts';
import { ramp } from '../ramp.ts';

/** Fewer sentences show no order. */
const FEWEST = 12;
/** What all else earns at least in a text whose sentences stand anyhow. */
const LEAST = 0.6;

/**
 * Deviations from chance at which nothing and everything is earned. Sentences shuffled over a text lie at -2 to 2
 * whatever its length; texts in order lie the higher the more they have to show. Of 208 honest texts those of 30 to 45
 * sentences lie at 0.3 and more (nine of ten at 0.6), of 45 to 70 at 0.7, longer ones at 4.5 and more: full is set where an
 * honest text seldom falls short, though a shuffled short one then passes often.
 */
function corners(sentences: number): [number, number] {
  const full = Math.max(0.4, Math.min(4.5, sentences / 28 - 0.85));
  return [full - 0.8, full];
}

export const sentenceOrder = criterion({
  id: 'sentence-order',
  group: 'substance',
  title: 'Sentences in order',
  place: 'text',
  weight: 2,
  needs: ['words', 'wording'],
  applies: ({ whole }) => whole.sentences >= FEWEST,
  target: () => 'what belongs together stands together: in a paragraph, and below its heading',
  measure({ whole: { deviation, sentences } }) {
    const share = ramp(deviation, [...corners(sentences), null, null]);
    return measure(
      share,
      Math.round(deviation * 10) / 10,
      share === 0
        ? 'The sentences might stand in any order. Bring those on one matter together, each matter below a heading of its own.'
        : 'Sentences of a paragraph, and of a section, have little in common. Bring together what belongs together.',
    );
  },
  holdsBack: leavesAtLeast(LEAST),
});
