import { criterion } from '../criterion.ts';
import { count, measure } from '../judging.ts';
import type { StudyTopic } from '../surroundings.ts';
import { NO_STUDY } from '../term-measure.ts';
import { bestCovers, COMMON, COVERED } from '../topic-cover.ts';

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
    const best = bestCovers(facts);
    const { topics } = facts.settings.study!;
    const open: StudyTopic[] = [];
    let [common, all, covered] = [0, 0, 0];
    for (let at = 0; at < topics.length; at++) {
      const topic = topics[at];
      if (topic.share < COMMON) continue;
      common += 1;
      all += topic.share;
      if (best[at] < COVERED) open.push(topic);
      else covered += topic.share;
    }
    const [first] = open;
    return measure(
      covered / all,
      `${common - open.length} of ${common}`,
      first
        ? `No section covers "${first.name}", which ${Math.round(first.share * 100)} % of the pages have${open.length > 1 ? `, and ${count(open.length - 1, 'more topic', 'more topics')}` : ''}.`
        : '',
    );
  },
});
