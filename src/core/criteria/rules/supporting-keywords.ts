import { criterion } from '../criterion.ts';
import { firstNamed } from '../fixing/named-in-text.ts';
import { measure } from '../judging.ts';

/** Phrases that a note names. */
const NAMED = 4;

const named = (list: readonly string[]) =>
  list
    .slice(0, NAMED)
    .map((phrase) => `"${phrase}"`)
    .join(', ') + (list.length > NAMED ? ` and ${list.length - NAMED} more` : '');

export const supportingKeywords = criterion({
  id: 'supporting-keywords',
  group: 'keyword',
  title: 'Supporting keywords',
  place: 'text',
  weight: 3,
  needs: ['supporting'],
  target: () => 'each supporting keyword at least once',
  measure({ fields: { supporting }, totals: { supportingValues: values } }) {
    const missing: string[] = [];
    const near: string[] = [];
    let sum = 0;
    supporting.forEach((phrase, at) => {
      sum += values[at];
      if (values[at] === 0) missing.push(phrase);
      else if (values[at] < 1) near.push(phrase);
    });
    const share = sum / supporting.length;
    const advice = missing.length
      ? `Not in the text yet: ${named(missing)}.`
      : `Found as a variant only: ${named(near)}.`;
    return measure(share, `${supporting.length - missing.length} of ${supporting.length}`, advice);
  },
  fixes: (facts) =>
    firstNamed(
      facts,
      facts.fields.supporting.filter((_, at) => facts.totals.supportingValues[at] === 0),
    ),
});
