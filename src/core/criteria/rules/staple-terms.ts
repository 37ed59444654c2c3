import { criterion } from '../criterion.ts';
import { NO_STUDY, termFixes, termMeasure } from '../term-measure.ts';

/** Mean over the staple terms of the study, each full within its band. */
export const stapleTerms = criterion({
  id: 'staple-terms',
  group: 'coverage',
  title: 'Staple terms',
  place: 'text',
  weight: 7,
  needs: ['study'],
  applies: (_facts, { study }) => study!.terms.some(({ group }) => group === 'staple'),
  target: (_limits, _facts, { study }) =>
    study ? 'each term of at least half of the pages, as often as they use it' : NO_STUDY,
  measure: (facts) => termMeasure(facts, 'staple', 1),
  fixes: (facts) => termFixes(facts, 'staple'),
});
