import { criterion } from '../criterion.ts';
import { NO_STUDY, termFixes, termMeasure } from '../term-measure.ts';

/** So much of the supporting terms is enough: nobody has to say everything. */
const ENOUGH = 0.6;

/** Mean over the supporting terms of the study, full at 60 % of them. */
export const supportingTerms = criterion({
  id: 'supporting-terms',
  group: 'coverage',
  title: 'Supporting terms',
  place: 'text',
  weight: 3,
  needs: ['study'],
  applies: (_facts, { study }) => study!.terms.some(({ group }) => group === 'supporting'),
  target: (_limits, _facts, { study }) =>
    study ? '60 % of the terms that a fifth of the pages use' : NO_STUDY,
  measure: (facts) => termMeasure(facts, 'supporting', ENOUGH),
  fixes: (facts) => termFixes(facts, 'supporting'),
});
