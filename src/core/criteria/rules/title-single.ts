import { asHeading } from '../../language/index.ts';
import { criterion } from '../criterion.ts';
import { count, measure, wholeBlock } from '../judging.ts';

export const titleSingle = criterion({
  id: 'title-single',
  group: 'headings',
  title: 'One title',
  place: 'title',
  weight: 3,
  needs: [],
  target: () => 'exactly one title',
  measure(facts) {
    const further = facts.sectionHeadings.filter((heading) => heading.level === 1);
    if (facts.fields.title.trim() === '') return measure(0, 0, 'Give the post a title.');
    return measure(
      1 / (1 + further.length),
      1 + further.length,
      `Beside the title there ${further.length === 1 ? 'is' : 'are'} ${count(further.length, 'further level 1 heading')}. Make them level 2.`,
      further.map((heading) => wholeBlock(heading.block, heading.index)),
    );
  },
  fixes(facts) {
    const { title, metaTitle } = facts.fields;
    if (title.trim() === '') {
      const [first] = facts.sectionHeadings.filter(({ text }) => text !== '');
      const words = metaTitle.trim() || (first?.level === 1 ? first.text : '') || asHeading(facts.keyword);
      return words === ''
        ? []
        : [
            {
              label: `Call it "${words}"`,
              edits: [{ kind: 'set-field', field: 'title', value: words }],
              readOver: true,
            },
          ];
    }
    const further = facts.sectionHeadings.filter((heading) => heading.level === 1);
    if (further.length === 0) return [];
    return [
      {
        label: 'Make them level 2',
        edits: further.map(({ block }) => ({ kind: 'set-heading-level', blockId: block.id, level: 2 })),
      },
    ];
  },
});
