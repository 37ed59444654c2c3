import type { Criterion } from '../criterion.ts';
import { measure } from '../judging.ts';

/** Judged against a study of result pages; until there is one it takes no part. */
export const topicsCovered: Criterion = {
  id: 'topics-covered',
  group: 'coverage',
  title: 'Topics covered',
  place: 'text',
  applies: () => false,
  target: () => 'the topics that most result pages have (needs a study of result pages)',
  measure: () => measure(0, null, 'Study the result pages for the keyword first.'),
};
