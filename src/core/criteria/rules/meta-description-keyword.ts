import { DESCRIPTION_SIZE, pixelWidth } from '../../listing/index.ts';
import { criterion } from '../criterion.ts';
import { kindInWords, measure, NO_KEYWORD } from '../judging.ts';

export const metaDescriptionKeyword = criterion({
  id: 'meta-description-keyword',
  group: 'listing',
  title: 'Keyword in the meta description',
  place: 'meta-description',
  weight: 3,
  needs: [],
  target: (limits) => `the keyword before the phone cut at ${limits.phoneCutPixels} px`,
  measure(facts) {
    if (!facts.keyword) return NO_KEYWORD;
    const text = facts.fields.metaDescription.trim();
    const { kind, value, match } = facts.keywordIn(text);
    if (!match) return measure(0, 'not found', `Name "${facts.keyword}" in the meta description.`);
    const late =
      pixelWidth(text.slice(0, match.end), DESCRIPTION_SIZE) > facts.settings.limits.phoneCutPixels;
    const advice = late
      ? 'Move the keyword forward: a phone cuts the description before it.'
      : `Use "${facts.keyword}" as it is typed; the match is ${kindInWords(kind)}.`;
    return measure(value * (late ? 0.85 : 1), kindInWords(kind), advice);
  },
});
