import type { Criterion } from '../criterion.ts';
import { measure } from '../judging.ts';

/** Judged against a study of result pages; until there is one it takes no part. */
export const stapleTerms: Criterion = {
  id: 'staple-terms',
  group: 'coverage',
  title: 'Staple terms',
  place: 'text',
  applies: () => false,
  target: () => 'each staple term in its band (needs a study of result pages)',
  measure: () => measure(0, null, 'Study the result pages for the keyword first.'),
};
