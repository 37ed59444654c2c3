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

/** How much of each topic's weight stands among some stems. */
function coverOf(topics: readonly StudyTopic[], indices: ReadonlyMap<string, number>, here: Uint8Array) {
  return topics.map(({ stems }) =>
    stems.reduce((sum, [stem, weight]) => sum + (here[indices.get(stem)!] ? weight : 0), 0),
  );
}

/** How far a draft covers every topic of its study: for each the best of its sections (a heading and what follows it). */
export function topicCover({ readings, settings: { study } }: DraftFacts): TopicInDraft[] {
  if (!study || study.topics.length === 0) return [];
  const indices = indicesOf(study);
  const best = new Float64Array(study.topics.length);
  let here = new Uint8Array(indices.size);
  const close = () =>
    coverOf(study.topics, indices, here).forEach((cover, at) => {
      if (cover > best[at]) best[at] = cover;
    });
  let open = false;
  for (const { level, topicStems } of readings) {
    if (level > 0) {
      if (open) close();
      here = new Uint8Array(indices.size);
      open = false;
    }
    for (let at = 0; at < topicStems.length; at++) here[topicStems[at]] = 1;
    if (topicStems.length > 0) open = true;
  }
  if (open) close();
  return study.topics.map((topic, at) => ({ topic, cover: Math.min(1, best[at]) }));
}

const known = new WeakMap<StudyFacts, Map<string, number>>();

function indicesOf(study: StudyFacts): Map<string, number> {
  let indices = known.get(study);
  if (!indices) {
    indices = new Map(topicStemsOf(study).map((stem, at) => [stem, at]));
    known.set(study, indices);
  }
  return indices;
}
