import { asHeading } from '../../language/index.ts';
import { pixelWidth, TITLE_SIZE } from '../../listing/index.ts';
import { criterion } from '../criterion.ts';
import { kindInWords, measure, NO_KEYWORD } from '../judging.ts';

export const metaTitleKeyword = criterion({
  id: 'meta-title-keyword',
  group: 'listing',
  title: 'Keyword in the meta title',
  place: 'meta-title',
  weight: 4,
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
    const { keyword, fields, metaTitle, settings } = facts;
    if (!keyword || facts.keywordIn(metaTitle).value > 0) return [];
    const own = fields.metaTitle.trim() || fields.title.trim();
    const lead = asHeading(keyword);
    const value =
      own === ''
        ? lead
        : `${lead}: ${/^[A-Z]{2}|^I\b/.test(own) ? own : own[0].toLowerCase() + own.slice(1)}`;
    const added = pixelWidth(value, TITLE_SIZE) - pixelWidth(own, TITLE_SIZE);
    const limit = settings.limits.metaTitlePixels[2];
    if (limit !== null && pixelWidth(metaTitle, TITLE_SIZE) + added > limit) return [];
    return [{ label: `Begin with "${lead}"`, edits: [{ kind: 'set-field', field: 'metaTitle', value }] }];
  },
});
