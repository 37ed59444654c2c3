import { criterion } from '../criterion.ts';
import { fitsListing, titlesNaming } from '../fixing/titles.ts';
import { kindInWords, measure, NO_KEYWORD } from '../judging.ts';

export const metaTitleKeyword = criterion({
  id: 'meta-title-keyword',
  group: 'listing',
  title: 'Keyword in the meta title',
  place: 'meta-title',
  weight: 3,
  needs: [],
  target: () => 'the keyword in the first half of the meta title',
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const { kind, value, match } = facts.keywordIn(facts.metaTitle);
    if (!match) return measure(0, 'not found', `Name "${facts.keyword}" in the meta title.`);
    const late = match.start > facts.metaTitle.length / 2;
    const advice = late
      ? 'Move the keyword to the first half of the meta title.'
      : `Use "${facts.keyword}" as it is typed; the match is ${kindInWords(kind)}.`;
    return measure(value * (late ? 0.85 : 1), kindInWords(kind), advice);
  },
  fixes(facts) {
    const { keyword, fields, metaTitle } = facts;
    if (!keyword || facts.keywordIn(metaTitle).value > 0) return [];
    return titlesNaming(fields.metaTitle.trim() || fields.title.trim(), keyword, facts)
      .filter(({ text }) => fitsListing(text, facts))
      .map(({ text, readOver }) => ({
        label: `Write "${text}"`,
        edits: [{ kind: 'set-field', field: 'metaTitle', value: text }],
        ...(readOver ? { readOver } : {}),
      }));
  },
});
