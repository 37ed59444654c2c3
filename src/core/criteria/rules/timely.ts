import type { BlockReading } from '../block-reader.ts';
import { criterion, type Evidence } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { count, measure, placeIn, wholeBlock } from '../judging.ts';

/** Words that are true on the day on which they are written. */
const AGEING =
  /\b(?:recently|lately|nowadays|at the moment|these days|this (?:year|month|week)|last (?:year|month|week)|next (?:year|month|week)|as of (?:now|today)|the coming (?:weeks|months|year))\b/gi;
const YEAR = /(?<![\d./-])(?:19|20)\d\d(?![\d./-]|\p{L})/gu;
/** Figures so many years old want a newer one. */
const OLD = 3;
const DATED_FIGURE = /\b(?:in|since|as of|by|until) ((?:19|20)\d\d)\b/gi;
/** What each place costs, and how many are named. */
const EACH = 0.34;
const SHOWN = 8;

interface Dated {
  what: string;
  place: Evidence | null;
}

const known = new WeakMap<BlockReading, { start: number; end: number }[]>();

/** Words of a block that age; asked for with every report, and seldom changed. */
function ageingIn(reading: BlockReading): { start: number; end: number }[] {
  let found = known.get(reading);
  if (!found) {
    found = [...reading.block.text.matchAll(AGEING)].map(({ index, 0: said }) => ({
      start: index,
      end: index + said.length,
    }));
    known.set(reading, found);
  }
  return found;
}

/** What of a draft ages or has aged, the title first. */
function datedIn({ fields, readings, titleBlock, settings: { year } }: DraftFacts): Dated[] {
  const found: Dated[] = [];
  const past = (text: string) =>
    [...text.matchAll(YEAR)].find(([each]) => year !== null && Number(each) < year)?.[0];
  for (const [name, text] of [
    ['title', fields.title],
    ['meta title', fields.metaTitle],
  ] as const) {
    const passed = past(text);
    if (passed) found.push({ what: `the ${name} names ${passed}`, place: null });
  }
  for (let index = 0; index < readings.length; index++) {
    if (index === titleBlock) continue;
    const { block, prose, level, claims } = readings[index];
    const passed = level > 0 ? past(block.text) : undefined;
    if (passed) found.push({ what: `a heading names ${passed}`, place: wholeBlock(block, index) });
    if (!prose) continue;
    for (const { start, end } of ageingIn(readings[index]))
      found.push({ what: `"${block.text.slice(start, end)}"`, place: placeIn(block, index, start, end) });
    for (const claim of claims)
      for (const [, told] of claim.quote.matchAll(DATED_FIGURE))
        if (year !== null && Number(told) <= year - OLD)
          found.push({ what: `a figure of ${told}`, place: placeIn(block, index, claim.start, claim.end) });
  }
  return found;
}

export const timely = criterion({
  id: 'timely',
  group: 'substance',
  title: 'Words that do not age',
  place: 'text',
  weight: 1,
  needs: ['words', 'english'],
  target: () => 'no year that has passed in titles, no "recently", no figures of three years ago',
  measure(facts) {
    const found = datedIn(facts);
    const named = [...new Set(found.map(({ what }) => what))];
    return measure(
      Math.max(0, 1 - EACH * found.length),
      found.length,
      `${count(found.length, 'place')} that ${found.length === 1 ? 'ages' : 'age'}: ${named.slice(0, 3).join(', ')}${named.length > 3 ? ` and ${named.length - 3} more` : ''}. Say when, or leave it out.`,
      found.flatMap(({ place }) => place ?? []).slice(0, SHOWN),
    );
  },
});
