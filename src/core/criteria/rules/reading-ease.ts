import { readingEaseOf } from '../../language/index.ts';
import { criterion, MOST_EDITS } from '../criterion.ts';
import { asEdit } from '../fixing/named-in-text.ts';
import { plainerWords } from '../fixing/plain-words.ts';
import { count, measure } from '../judging.ts';

export const readingEase = criterion({
  id: 'reading-ease',
  group: 'reading',
  title: 'Reading ease',
  place: 'text',
  weight: 3,
  needs: ['words', 'formula'],
  target: ({ readingEase: [from] }) => `Flesch Reading Ease of ${from} or more`,
  measure(facts) {
    const ease = readingEaseOf(facts.language, facts.totals.read);
    if (ease === null) return measure(0, null, 'There is no running text yet.');
    const {
      readingEase: [from],
      readingEaseMargin,
    } = facts.settings.limits;
    const rounded = Math.round(ease.figure);
    const scale = facts.english
      ? ''
      : ` by ${ease.formula}, where ${Math.round(ease.wanted(from))} or ${ease.moreIsHarder ? 'less' : 'more'} is wished`;
    // Easier than wished is no fault.
    return measure(
      Math.max(0, Math.min(1, 1 - ease.short(from) / readingEaseMargin)),
      rounded,
      `Reading ease is ${rounded}${scale}: use shorter sentences and plainer words.`,
    );
  },
  fixes({ readings, english }) {
    if (!english) return [];
    const found = readings.flatMap(({ block, prose }) =>
      prose ? [{ block, changes: plainerWords(block.text) }] : [],
    );
    const [opening] = found.filter(({ changes }) => changes.length > 0);
    const first = opening && asEdit(opening.block, opening.changes[0]);
    // From the end of each block, so that no place moves before its turn.
    const edits = found
      .flatMap(({ block, changes }) => [...changes].reverse().map((change) => asEdit(block, change)))
      .slice(0, MOST_EDITS);
    return first?.kind === 'replace-text'
      ? [
          {
            label: `Use plainer words in ${count(edits.length, 'place')} ("${first.text}" for "${first.quote}")`,
            edits,
            readOver: true,
          },
        ]
      : [];
  },
});
