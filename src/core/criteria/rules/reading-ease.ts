import { fleschReadingEase } from '../../language/index.ts';
import { criterion } from '../criterion.ts';
import { measure } from '../judging.ts';

export const readingEase = criterion({
  id: 'reading-ease',
  group: 'reading',
  title: 'Reading ease',
  place: 'text',
  weight: 3,
  needs: ['words', 'english'],
  target: ({ readingEase: [from] }) => `Flesch Reading Ease of ${from} or more`,
  measure(facts) {
    const ease = fleschReadingEase(facts.totals.read);
    if (ease === null) return measure(0, null, 'There is no running text yet.');
    const {
      readingEase: [from],
      readingEaseMargin,
    } = facts.settings.limits;
    const rounded = Math.round(ease);
    // Easier than wished is no fault.
    return measure(
      Math.max(0, Math.min(1, 1 - (from - ease) / readingEaseMargin)),
      rounded,
      `Reading ease is ${rounded}: use shorter sentences and plainer words.`,
    );
  },
});
