import { criterion } from '../criterion.ts';
import type { DraftFacts, HeadingFact } from '../draft-facts.ts';
import { measure, wholeBlock } from '../judging.ts';

function faulty(facts: DraftFacts): { heading: HeadingFact; fault: string }[] {
  const limit = facts.settings.limits.headingCharacters;
  const seen = new Set<string>();
  const found: { heading: HeadingFact; fault: string }[] = [];
  for (const heading of facts.sectionHeadings) {
    const { headingKey } = heading.reading;
    if (heading.text === '') found.push({ heading, fault: 'is empty' });
    else if (seen.has(headingKey)) found.push({ heading, fault: 'stands twice' });
    else if (heading.text.length > limit)
      found.push({ heading, fault: `is longer than ${limit} characters` });
    seen.add(headingKey);
  }
  return found;
}

export const headingDistinct = criterion({
  id: 'heading-distinct',
  group: 'headings',
  title: 'Headings that tell apart',
  place: 'text',
  weight: 2,
  needs: ['words'],
  target: (limits) => `none empty, repeated or over ${limits.headingCharacters} characters`,
  measure(facts) {
    const all = facts.sectionHeadings.length;
    if (all === 0) return measure(0, 'no headings', 'Add headings.');
    const found = faulty(facts);
    const [first] = found;
    const name = first?.heading.text ? `"${first.heading.text}"` : 'A heading';
    return measure(
      (all - found.length) / all,
      `${found.length} of ${all} at fault`,
      `${name} ${first?.fault}.${found.length > 1 ? ` ${found.length - 1} more at fault.` : ''}`,
      found.map(({ heading }) => wholeBlock(heading.block, heading.index)),
    );
  },
  fixes(facts) {
    const empty = faulty(facts).filter(({ heading }) => heading.text === '');
    if (empty.length === 0) return [];
    return [
      {
        label: empty.length === 1 ? 'Remove the empty heading' : 'Remove the empty headings',
        edits: empty.map(({ heading }) => ({ kind: 'remove-block', blockId: heading.block.id })),
      },
    ];
  },
});
