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
  target: ({ readingEase: [from, to] }) => `Flesch Reading Ease of ${from}-${to}`,
  measure(facts) {
    const ease = fleschReadingEase(facts.totals.read);
    if (ease === null) return measure(0, null, 'There is no running text yet.');
    const {
      readingEase: [from, to],
      readingEaseMargin,
    } = facts.settings.limits;
    const outside = Math.max(0, from - ease, ease - to);
    const rounded = Math.round(ease);
    const advice =
      ease < from
        ? `Reading ease is ${rounded}: use shorter sentences and plainer words.`
        : `Reading ease is ${rounded}: the sentences are very short. Join some.`;
    return measure(Math.max(0, 1 - outside / readingEaseMargin), rounded, advice);
  },
});
