import { criterion } from '../criterion.ts';
import { count, measure } from '../judging.ts';
import { NO_STUDY } from '../term-measure.ts';
import { COMMON, COVERED, topicCover } from '../topic-cover.ts';

/** Share of the topics that at least half of the pages have, weighed by how many have them, that a section covers. */
export const topicsCovered = criterion({
  id: 'topics-covered',
  group: 'coverage',
  title: 'Topics covered',
  place: 'text',
  weight: 4,
  needs: ['study'],
  applies: (_facts, { study }) => study!.topics.some(({ share }) => share >= COMMON),
  target: (_limits, _facts, { study }) =>
    study ? 'a section on each topic that half of the pages have' : NO_STUDY,
  measure(facts) {
    const topics = topicCover(facts).filter(({ topic }) => topic.share >= COMMON);
    const all = topics.reduce((sum, { topic }) => sum + topic.share, 0);
    const open = topics.filter(({ cover }) => cover < COVERED);
    const covered = all - open.reduce((sum, { topic }) => sum + topic.share, 0);
    const [first] = open;
    return measure(
      covered / all,
      `${topics.length - open.length} of ${topics.length}`,
      first
        ? `No section covers "${first.topic.name}", which ${Math.round(first.topic.share * 100)} % of the pages have${open.length > 1 ? `, and ${count(open.length - 1, 'more topic', 'more topics')}` : ''}.`
        : '',
    );
  },
});
