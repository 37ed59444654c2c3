import type { Criterion } from '../criterion.ts';
import { measure } from '../judging.ts';

/** Judged against a study of result pages; until there is one it takes no part. */
export const supportingTerms: Criterion = {
  id: 'supporting-terms',
  group: 'coverage',
  title: 'Supporting terms',
  place: 'text',
  applies: () => false,
  target: () => '60 % of the supporting terms in use (needs a study of result pages)',
  measure: () => measure(0, null, 'Study the result pages for the keyword first.'),
};
