import { asHeading, MATCH_VALUES } from '../../language/index.ts';
import { criterion } from '../criterion.ts';
import type { DraftFacts, HeadingFact } from '../draft-facts.ts';
import { titlesNaming } from '../fixing/titles.ts';
import { measure, NO_KEYWORD, wholeBlock } from '../judging.ts';
import { ramp } from '../ramp.ts';

function valueIn({ reading }: HeadingFact): number {
  let best = reading.keywordValue;
  for (const { value } of reading.supporting) if (value > best) best = value;
  return best;
}

const judged = (facts: DraftFacts) => facts.sectionHeadings.filter(({ level }) => level === 2 || level === 3);

/** Headings that are looked at for one to name the keyword in. */
const LOOKED_AT = 40;

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

/** Uses of the keyword below a heading, up to the next one. */
function usesBelow({ readings }: DraftFacts, heading: number): number {
  let uses = 0;
  for (let at = heading + 1; at < readings.length && readings[at].level === 0; at++)
    uses += readings[at].useCount;
  return uses;
}

export const headingKeyword = criterion({
  id: 'heading-keyword',
  group: 'headings',
  title: 'Keyword in headings',
  place: 'text',
  weight: 2,
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
    const x = sum(values) / headings.length;
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
  fixes(facts) {
    if (!facts.keyword) return [];
    const plain = judged(facts).filter((heading) => heading.text !== '' && valueIn(heading) === 0);
    const values = judged(facts).map(valueIn);
    const limits = facts.settings.limits.headingKeywordShare;
    if (values.length > 2 && limits[2] !== null && sum(values) / values.length > limits[2]) return [];
    // The heading with most to say of it first.
    return plain
      .slice(0, LOOKED_AT)
      .flatMap(({ block, index, text }) => {
        const [best] = titlesNaming(text, facts.keyword, facts);
        if (!best) return [];
        const uses = usesBelow(facts, index);
        return [
          {
            uses: best.text.startsWith(`${asHeading(facts.keyword)}:`) ? uses : uses + 100,
            fix: {
              label: `Write "${best.text}"`,
              edits: [
                {
                  kind: 'replace-text' as const,
                  blockId: block.id,
                  start: 0,
                  end: block.text.length,
                  quote: block.text,
                  text: best.text,
                },
              ],
              readOver: true as const,
            },
          },
        ];
      })
      .sort((a, b) => b.uses - a.uses)
      .map(({ fix }) => fix);
  },
});
