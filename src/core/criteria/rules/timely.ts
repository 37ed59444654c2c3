import { criterion, type Evidence } from '../criterion.ts';
import { yearsIn } from '../dated-words.ts';
import type { DraftFacts } from '../draft-facts.ts';
import { count, measure, placeIn } from '../judging.ts';

/** Figures so many years old want a newer one. */
const OLD = 3;
/** What each place costs, and how many are shown. */
const EACH = 0.34;
const SHOWN = 8;

/** Things that a note names. */
const NAMED = 3;
const NOTHING = measure(1, 0, '');

interface Dated {
  what: string;
  place: Evidence | null;
}

const hasPassed = (now: number | null, year: number | null, by = 1) =>
  now !== null && year !== null && year <= now - by;

/** What of a draft ages or has aged, the title first: how many places, and the first of them. */
function datedIn({ fields, totals, settings: { year: now } }: DraftFacts): { count: number; first: Dated[] } {
  const first: Dated[] = [];
  let places = 0;
  for (const [name, text] of [
    ['title', fields.title],
    ['meta title', fields.metaTitle],
  ] as const) {
    const passed = text === '' ? undefined : yearsIn(text).find((year) => hasPassed(now, year));
    if (passed === undefined) continue;
    places += 1;
    first.push({ what: `the ${name} names ${passed}`, place: null });
  }
  for (const {
    index,
    reading: { block, dated },
  } of totals.withDated)
    for (const { start, end, year, kind } of dated) {
      if (kind === 'heading' ? !hasPassed(now, year) : kind === 'figure' && !hasPassed(now, year, OLD))
        continue;
      places += 1;
      if (first.length >= SHOWN) continue;
      const what =
        kind === 'word'
          ? `"${block.text.slice(start, end)}"`
          : kind === 'heading'
            ? `a heading names ${year}`
            : `a figure of ${year}`;
      first.push({ what, place: placeIn(block, index, start, end) });
    }
  return { count: places, first };
}

export const timely = criterion({
  id: 'timely',
  group: 'substance',
  title: 'Words that do not age',
  place: 'text',
  weight: 1,
  needs: ['words', 'wording'],
  target: () => 'no year that has passed in titles, no "recently", no figures of three years ago',
  measure(facts) {
    const { count: places, first } = datedIn(facts);
    if (places === 0) return NOTHING;
    const named = [...new Set(first.map(({ what }) => what))].slice(0, NAMED);
    return measure(
      Math.max(0, 1 - EACH * places),
      places,
      `${count(places, 'place')} that ${places === 1 ? 'ages' : 'age'}: ${named.join(', ')}${places > named.length ? ' and more' : ''}. Say when, or leave it out.`,
      first.flatMap(({ place }) => place ?? []),
    );
  },
});
