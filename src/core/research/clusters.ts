import { phraseStems } from './phrase-stems.ts';

/** What a phrase brings to be clustered. */
export interface Clusterable {
  phrase: string;
  volume: number | null;
  /** Addresses of the first ten pages found; null: not looked up. */
  pages: readonly string[] | null;
}

/** Phrases that one post can answer together. */
export interface Cluster {
  /** The phrase most asked for. */
  head: number;
  name: string;
  /** Indices of its phrases, the most asked for first; the head among them. */
  members: number[];
  /** Searches a month of all its phrases; those not known count nothing. */
  volume: number;
}

/** So much of the weight of two phrases' stems must be shared. */
const SHARED_STEMS = 0.5;
/** Or so many of the first ten pages. */
const SHARED_PAGES = 4;
/** Pages of a phrase that are compared. */
const PAGES = 10;
/** Phrases that are looked at in one step. */
const STEP = 2000;
/** Share of the work that finding the stems is. */
const STEMS_SHARE = 0.4;
/** A stem or a page that so many leaders have says nothing about which to join, and looking at all of them would not end. */
const MOST_LEADERS = 400;

/**
 * Groups phrases that one post can answer: in order of volume each joins the leader with which it shares half of the
 * weight of their stems (weighted Jaccard, a stem weighing the logarithm of how rare it is) or at least four of the
 * first ten pages; else it leads a cluster of its own. Candidates come from an inverted index over the rarest stems,
 * so that time grows nearly with the number of phrases. Clusters come by volume, the largest first.
 *
 * It works in steps, so that whoever runs it can show how far it is (each step yields the share that is done, 0 to 1),
 * let others in between, or leave off.
 */
export function* clusterSteps(phrases: readonly Clusterable[]): Generator<number, Cluster[]> {
  const stems: string[][] = [];
  for (const { phrase } of phrases) {
    if (stems.length % STEP === 0) yield (stems.length / phrases.length) * STEMS_SHARE;
    stems.push(phraseStems(phrase));
  }
  const spread = new Map<string, number>();
  for (const list of stems) for (const stem of list) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  const weightOf = (stem: string) => Math.log(1 + phrases.length / (spread.get(stem) ?? 1)) + 0.1;
  const order = phrases
    .map((_, at) => at)
    .sort((a, b) => (phrases[b].volume ?? -1) - (phrases[a].volume ?? -1) || a - b);
  const byStem = new Map<string, number[]>();
  const byPage = new Map<string, number[]>();
  const clusters: Cluster[] = [];
  const weights: number[] = [];
  const leaderStems: Set<string>[] = [];
  const shared = new Map<number, number>();
  const samePages = new Map<number, number>();
  for (const [done, index] of order.entries()) {
    if (done % STEP === 0) yield STEMS_SHARE + (done / phrases.length) * (1 - STEMS_SHARE);
    const own = stems[index];
    const weight = own.reduce((sum, stem) => sum + weightOf(stem), 0);
    shared.clear();
    samePages.clear();
    for (const stem of own) {
      const leaders = byStem.get(stem);
      if (!leaders || leaders.length > MOST_LEADERS) continue;
      for (const leader of leaders) shared.set(leader, 0);
    }
    const found = phrases[index].pages?.slice(0, PAGES) ?? [];
    const everywhere: string[] = [];
    for (const page of found) {
      const leaders = byPage.get(page);
      if (!leaders) continue;
      if (leaders.length > MOST_LEADERS) everywhere.push(page);
      else for (const leader of leaders) samePages.set(leader, (samePages.get(leader) ?? 0) + 1);
    }
    // A page that is found for nearly everything brings nobody together; beside others it counts as any other.
    for (const leader of everywhere.length > 0 ? [...samePages.keys()] : [])
      for (const page of everywhere)
        if (phrases[clusters[leader].head].pages?.slice(0, PAGES).includes(page))
          samePages.set(leader, samePages.get(leader)! + 1);
    let best = -1;
    let closeness = 0;
    for (const leader of shared.keys()) {
      let common = 0;
      for (const stem of own) if (leaderStems[leader].has(stem)) common += weightOf(stem);
      const likeness = common / (weight + weights[leader] - common);
      if (likeness >= SHARED_STEMS && likeness > closeness) {
        best = leader;
        closeness = likeness;
      }
    }
    if (best < 0) {
      let most = SHARED_PAGES - 1;
      for (const [leader, pages] of samePages)
        if (pages > most) {
          best = leader;
          most = pages;
        }
    }
    if (best >= 0) {
      clusters[best].members.push(index);
      clusters[best].volume += phrases[index].volume ?? 0;
      continue;
    }
    const leader = clusters.length;
    clusters.push({
      head: index,
      name: phrases[index].phrase,
      members: [index],
      volume: phrases[index].volume ?? 0,
    });
    weights.push(weight);
    leaderStems.push(new Set(own));
    for (const stem of own) push(byStem, stem, leader);
    for (const page of found) push(byPage, page, leader);
  }
  yield 1;
  return clusters.sort((a, b) => b.volume - a.volume || a.head - b.head);
}

/** The same in one go. */
export function clusterPhrases(phrases: readonly Clusterable[]): Cluster[] {
  const steps = clusterSteps(phrases);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

function push(map: Map<string, number[]>, key: string, value: number): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}
