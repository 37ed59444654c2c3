import { DESCRIPTION_SIZE, pixelWidth } from '../../listing/index.ts';
import { criterion } from '../criterion.ts';
import { asWritten } from '../fixing/as-written.ts';
import { descriptionCandidates } from '../fixing/descriptions.ts';
import { placesToName } from '../fixing/naming.ts';
import { kindInWords, measure, NO_KEYWORD } from '../judging.ts';

export const metaDescriptionKeyword = criterion({
  id: 'meta-description-keyword',
  group: 'listing',
  title: 'Keyword in the meta description',
  place: 'meta-description',
  weight: 2,
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
  fixes(facts) {
    const { keyword, english, reader } = facts;
    if (!keyword) return [];
    const written = facts.fields.metaDescription.trim();
    const named = english
      ? placesToName(written, asWritten(keyword, facts), reader.vocabulary)
          .slice(0, 1)
          .map(({ start, end, text }) => written.slice(0, start) + text + written.slice(end))
      : [];
    return [...named, ...descriptionCandidates(facts).filter((text) => text !== written)].map(
      (value, at) => ({
        label: at < named.length ? 'Name it in the description' : 'Take these sentences of the text',
        edits: [{ kind: 'set-field', field: 'metaDescription', value }],
        readOver: true,
      }),
    );
  },
});
