import { criterion } from '../criterion.ts';
import type { DraftFacts, HeadingFact } from '../draft-facts.ts';
import { count, measure, wholeBlock } from '../judging.ts';

/** Headings that skip a level downwards, with the level that would not. */
function skips(facts: DraftFacts): { heading: HeadingFact; level: number }[] {
  const found: { heading: HeadingFact; level: number }[] = [];
  let before = 1;
  for (const heading of facts.sectionHeadings) {
    if (heading.level > before + 1) found.push({ heading, level: before + 1 });
    before = heading.level;
  }
  return found;
}

export const headingOrder = criterion({
  id: 'heading-order',
  group: 'headings',
  title: 'Heading levels in order',
  place: 'text',
  weight: 2,
  needs: ['words'],
  target: () => 'no heading skips a level',
  measure(facts) {
    const all = facts.sectionHeadings.length;
    if (all === 0) return measure(0, 'no headings', 'Add headings, level 2 first.');
    const found = skips(facts);
    return measure(
      (all - found.length) / all,
      `${found.length} of ${all} skip a level`,
      `${count(found.length, 'heading')} ${found.length === 1 ? 'skips' : 'skip'} a level. "${found[0]?.heading.text}" should be level ${found[0]?.level}.`,
      found.map(({ heading }) => wholeBlock(heading.block, heading.index)),
    );
  },
  fixes(facts) {
    const found = skips(facts);
    if (found.length === 0) return [];
    // Mending one heading can make the next one skip: all are put in order together.
    const edits: { kind: 'set-heading-level'; blockId: string; level: number }[] = [];
    let before = 1;
    for (const { block, level } of facts.sectionHeadings) {
      const right = Math.min(level, before + 1);
      if (right !== level) edits.push({ kind: 'set-heading-level', blockId: block.id, level: right });
      before = right;
    }
    return [
      { label: edits.length === 1 ? `Make it level ${edits[0].level}` : 'Put the levels in order', edits },
    ];
  },
});
