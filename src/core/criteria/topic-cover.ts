import { kinOf } from '../meaning/index.ts';
import { type BlockReading, topicStemsOf } from './block-reader.ts';
import type { DraftFacts } from './draft-facts.ts';
import type { StudyFacts, StudyTopic } from './surroundings.ts';

/** A section covers a topic when so much of the weight of its stems stands in it, kin of a stem for a part of it. */
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
  /** For each stem of a topic its index, its weight, and its kin, the nearest first. */
  topics: { at: number; weight: number; kin: { at: number; near: number }[] }[][];
  /** Sections by their first block. */
  sections: WeakMap<BlockReading, { members: BlockReading[]; cover: Float64Array }>;
}

const known = new WeakMap<StudyFacts, Indexed>();
const NO_COVERS = new Float64Array(0);

function indexed(study: StudyFacts): Indexed {
  let found = known.get(study);
  if (!found) {
    const indices = new Map(topicStemsOf(study).map((stem, at) => [stem, at]));
    found = {
      size: indices.size,
      topics: study.topics.map(({ stems }) =>
        stems.map(([stem, weight]) => ({
          at: indices.get(stem)!,
          weight,
          kin: [...kinOf(stem)]
            .map(([other, near]) => ({ at: indices.get(other)!, near }))
            .sort((a, b) => b.near - a.near),
        })),
      ),
      sections: new WeakMap(),
    };
    known.set(study, found);
  }
  return found;
}

/** How far one section covers each topic; worked out anew only where one of its blocks was read anew. */
function sectionCover(
  readings: readonly BlockReading[],
  from: number,
  to: number,
  { size, topics, sections }: Indexed,
): Float64Array {
  const before = sections.get(readings[from]);
  if (before?.members.length === to - from) {
    let same = true;
    for (let at = from; same && at < to; at++) same = before.members[at - from] === readings[at];
    if (same) return before.cover;
  }
  const here = new Uint8Array(size);
  for (let at = from; at < to; at++) for (const stem of readings[at].topicStems) here[stem] = 1;
  // By places: with every key, an iterator for each topic would cost as much as the sums.
  const cover = new Float64Array(topics.length);
  for (let topic = 0; topic < topics.length; topic++) {
    const stems = topics[topic];
    let sum = 0;
    for (let stem = 0; stem < stems.length; stem++) {
      const { at, weight, kin } = stems[stem];
      if (here[at]) sum += weight;
      else {
        let nearest = 0;
        while (nearest < kin.length && here[kin[nearest].at] === 0) nearest += 1;
        if (nearest < kin.length) sum += weight * kin[nearest].near;
      }
    }
    cover[topic] = sum;
  }
  sections.set(readings[from], { members: readings.slice(from, to), cover });
  return cover;
}

/** How far a draft covers every topic of its study: for each the best of its sections (a heading and what follows it). */
export function topicCover(facts: DraftFacts): TopicInDraft[] {
  const best = bestCovers(facts);
  return (facts.settings.study?.topics ?? []).map((topic, at) => ({ topic, cover: Math.min(1, best[at]) }));
}

/** The same as bare figures, in the order of the study's topics; empty without a study. */
export function bestCovers({ readings, settings: { study } }: DraftFacts): Float64Array {
  if (!study || study.topics.length === 0) return NO_COVERS;
  const known = indexed(study);
  const best = new Float64Array(study.topics.length);
  for (let from = 0; from < readings.length; ) {
    let to = from + 1;
    while (to < readings.length && readings[to].level === 0) to += 1;
    const cover = sectionCover(readings, from, to, known);
    for (let at = 0; at < best.length; at++) if (cover[at] > best[at]) best[at] = cover[at];
    from = to;
  }
  return best;
}
