import { MATCH_VALUES } from '../../language/index.ts';
import { criterion } from '../criterion.ts';
import type { DraftFacts, HeadingFact } from '../draft-facts.ts';
import { measure, NO_KEYWORD, wholeBlock } from '../judging.ts';
import { ramp } from '../ramp.ts';

function valueIn({ reading }: HeadingFact): number {
  let best = reading.keywordValue;
  for (const { value } of reading.supporting) if (value > best) best = value;
  return best;
}

const judged = (facts: DraftFacts) => facts.sectionHeadings.filter(({ level }) => level === 2 || level === 3);

export const headingKeyword = criterion({
  id: 'heading-keyword',
  group: 'headings',
  title: 'Keyword in headings',
  place: 'text',
  weight: 3,
  needs: [],
  target: ({ headingKeywordShare: [, from, to] }) =>
    `the keyword or a supporting one in ${Math.round((from ?? 0) * 100)}-${Math.round((to ?? 1) * 100)} % of level 2 and 3 headings`,
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const headings = judged(facts);
    if (headings.length === 0)
      return measure(0, 'no headings', 'Add headings, one of them with the keyword.');
    const values = headings.map(valueIn);
    const holding = values.filter((value) => value > 0).length;
    const measured = `${holding} of ${headings.length}`;
    const some = `Name "${facts.keyword}" or a supporting keyword in a heading.`;
    if (headings.length < 3) return measure(Math.max(...values), measured, some);
    const limits = facts.settings.limits.headingKeywordShare;
    const x = values.reduce((sum, value) => sum + value, 0) / headings.length;
    const many = limits[2] !== null && x > limits[2];
    return measure(
      ramp(x, limits),
      measured,
      many ? 'Nearly every heading holds a keyword. Let some speak for themselves.' : some,
      many
        ? headings
            .filter((_, at) => values[at] === MATCH_VALUES.exact)
            .map(({ block, index }) => wholeBlock(block, index))
        : [],
    );
  },
});
