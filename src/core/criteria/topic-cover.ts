import { topicStemsOf } from './block-reader.ts';
import type { DraftFacts } from './draft-facts.ts';
import type { StudyFacts, StudyTopic } from './surroundings.ts';

/** A section covers a topic when so much of the weight of its stems stands in it. */
export const COVERED = 0.5;

/** Topics that at least half of the pages have are judged. */
export const COMMON = 0.5;

/** A topic and how far the best section of a draft covers it. */
export interface TopicInDraft {
  topic: StudyTopic;
  /** 0-1: the greatest part of its stems, by weight, that one section holds. */
  cover: number;
}

/** Topics with their stems as indices, worked out once for each study: they are asked for every section with every key. */
interface Indexed {
  size: number;
  topics: { at: Int32Array; weights: Float64Array }[];
}

const known = new WeakMap<StudyFacts, Indexed>();

function indexed(study: StudyFacts): Indexed {
  let found = known.get(study);
  if (!found) {
    const indices = new Map(topicStemsOf(study).map((stem, at) => [stem, at]));
    found = {
      size: indices.size,
      topics: study.topics.map(({ stems }) => ({
        at: Int32Array.from(stems, ([stem]) => indices.get(stem)!),
        weights: Float64Array.from(stems, ([, weight]) => weight),
      })),
    };
    known.set(study, found);
  }
  return found;
}

/** How far a draft covers every topic of its study: for each the best of its sections (a heading and what follows it). */
export function topicCover({ readings, settings: { study } }: DraftFacts): TopicInDraft[] {
  if (!study || study.topics.length === 0) return [];
  const { size, topics } = indexed(study);
  const best = new Float64Array(topics.length);
  const here = new Uint8Array(size);
  const close = () => {
    for (let topic = 0; topic < topics.length; topic++) {
      const { at, weights } = topics[topic];
      let cover = 0;
      for (let stem = 0; stem < at.length; stem++) if (here[at[stem]]) cover += weights[stem];
      if (cover > best[topic]) best[topic] = cover;
    }
  };
  let open = false;
  for (const { level, topicStems } of readings) {
    if (level > 0) {
      if (open) close();
      here.fill(0);
      open = false;
    }
    for (let at = 0; at < topicStems.length; at++) here[topicStems[at]] = 1;
    if (topicStems.length > 0) open = true;
  }
  if (open) close();
  return study.topics.map((topic, at) => ({ topic, cover: Math.min(1, best[at]) }));
}
