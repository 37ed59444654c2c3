import { DESCRIPTION_SIZE, pixelWidth } from '../../listing/index.ts';
import { criterion, type Fix } from '../criterion.ts';
import { descriptionCandidates } from '../fixing/descriptions.ts';
import { measure } from '../judging.ts';
import { openingDescription } from '../opening-description.ts';
import { ramp, wished } from '../ramp.ts';

/** Words of an opening that says something. */
const FEWEST_WORDS = 6;

export const metaDescriptionWidth = criterion({
  id: 'meta-description-width',
  group: 'listing',
  title: 'Meta description width',
  unit: 'px',
  place: 'meta-description',
  weight: 5,
  needs: [],
  target: (limits) => wished(limits.metaDescriptionPixels, 'px'),
  measure({ fields, settings: { limits } }) {
    const text = fields.metaDescription.trim();
    if (text === '')
      return measure(0, null, 'Write a meta description; until then the opening words stand in the results.');
    const exact = pixelWidth(text, DESCRIPTION_SIZE);
    const [, from, to] = limits.metaDescriptionPixels;
    const width = Math.round(exact);
    const advice =
      from !== null && exact < from
        ? `The meta description can say more: ${width} px, full from ${from}.`
        : `The meta description is cut in the results: ${width} px, shown up to ${to}. Shorten it.`;
    return measure(ramp(exact, limits.metaDescriptionPixels), width, advice);
  },
  fixes(facts) {
    const written = facts.fields.metaDescription.trim();
    const opening = written === '' ? openingDescription(facts) : '';
    const described = (label: string, value: string): Fix => ({
      label,
      edits: [{ kind: 'set-field', field: 'metaDescription', value }],
      readOver: true,
    });
    return [
      ...(opening.split(' ').length < FEWEST_WORDS ? [] : [described('Take the opening sentences', opening)]),
      ...descriptionCandidates(facts)
        .filter((text) => text !== opening && text !== written)
        .map((text) => described('Take these sentences of the text', text)),
    ];
  },
});
