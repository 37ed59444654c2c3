import { criterion } from '../criterion.ts';
import { titlesNaming } from '../fixing/titles.ts';
import { kindInWords, measure, NO_KEYWORD } from '../judging.ts';

export const keywordTitle = criterion({
  id: 'keyword-title',
  group: 'keyword',
  title: 'Keyword in the title',
  place: 'title',
  weight: 3,
  needs: [],
  target: () => 'the keyword in the title',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const { kind, value } = facts.keywordIn(facts.fields.title);
    const advice =
      value === 0
        ? `Name "${facts.keyword}" in the title.`
        : `Use "${facts.keyword}" as it is typed; the title has it ${kindInWords(kind)}.`;
    return measure(value, kindInWords(kind), advice);
  },
  fixes(facts) {
    const { keyword, fields } = facts;
    if (!keyword || facts.keywordIn(fields.title).value > 0) return [];
    return titlesNaming(fields.title, keyword, facts).map(({ text, readOver }) => ({
      label: `Call it "${text}"`,
      edits: [{ kind: 'set-field', field: 'title', value: text }],
      ...(readOver ? { readOver } : {}),
    }));
  },
});
