import { criterion } from '../criterion.ts';
import { measure, NO_KEYWORD } from '../judging.ts';

const QUARTERS = ['first', 'second', 'third', 'last'];

export const keywordSpread = criterion({
  id: 'keyword-spread',
  group: 'keyword',
  title: 'Keyword through the text',
  place: 'text',
  weight: 2,
  needs: [],
  target: () => 'a match in each quarter of the body',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const held = [false, false, false, false];
    for (const { reading, wordsBefore } of facts.totals.withUses)
      for (const { firstWord } of reading.uses)
        held[Math.min(3, Math.floor((4 * (wordsBefore + firstWord)) / facts.words))] = true;
    const number = held.filter(Boolean).length;
    const missing = QUARTERS.filter((_, at) => !held[at]);
    return measure(
      number / 4,
      `${number} of 4 quarters`,
      `Name "${facts.keyword}" in the ${missing.join(', ').replace(/, (\w+)$/, ' and $1')} quarter of the text too.`,
    );
  },
});
