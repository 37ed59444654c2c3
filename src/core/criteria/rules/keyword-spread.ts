import { criterion } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { namedInText } from '../fixing/named-in-text.ts';
import { measure, NO_KEYWORD } from '../judging.ts';

const QUARTERS = ['first', 'second', 'third', 'last'];

const quarterOf = (word: number, words: number) => Math.min(3, Math.floor((4 * word) / words));

/** Which quarters of the body hold a use, or a supporting keyword: whoever reads of these reads of the subject. */
function quartersHeld({ totals, readings, titleBlock, words }: DraftFacts): boolean[] {
  const held = [false, false, false, false];
  for (const { reading, wordsBefore } of totals.withUses)
    for (const { firstWord } of reading.uses) held[quarterOf(wordsBefore + firstWord, words)] = true;
  let before = 0;
  for (let at = 0; at < readings.length; at++) {
    if (at === titleBlock) continue;
    // Where in its block it stands is not known: a block is short.
    if (readings[at].supporting.length > 0) held[quarterOf(before + readings[at].words / 2, words)] = true;
    before += readings[at].words;
  }
  return held;
}

export const keywordSpread = criterion({
  id: 'keyword-spread',
  group: 'keyword',
  title: 'Keyword through the text',
  place: 'text',
  weight: 1,
  needs: [],
  target: () => 'the keyword, or a supporting one, in each quarter of the body',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const held = quartersHeld(facts);
    const number = held.filter(Boolean).length;
    const missing = QUARTERS.filter((_, at) => !held[at]);
    return measure(
      number / 4,
      `${number} of 4 quarters`,
      missing.length === QUARTERS.length
        ? `Name "${facts.keyword}" in each quarter of the text.`
        : `Name "${facts.keyword}" in the ${missing.join(', ').replace(/, (\w+)$/, ' and $1')} quarter of the text too.`,
    );
  },
  fixes(facts) {
    if (!facts.keyword) return [];
    const quarter = facts.words / 4;
    return quartersHeld(facts).flatMap((held, at) =>
      held
        ? []
        : namedInText(facts, facts.keyword, { from: at * quarter, to: (at + 1) * quarter }).slice(0, 1),
    );
  },
});
