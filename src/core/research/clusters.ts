import type { Intent } from './keyword.ts';
import { PhraseVectors } from './phrase-vectors.ts';

/** What a phrase brings to be clustered. */
export interface Clusterable {
  phrase: string;
  volume: number | null;
  /** Addresses of the first ten pages found; null: not looked up. */
  pages: readonly string[] | null;
  /** What is wanted; not there: not known. */
  intent?: Intent;
}

/** Phrases that one post can answer together. */
export interface Cluster {
  /** The phrase that stands for the others: asked for often, and in their midst. */
  head: number;
  name: string;
  /** Indices of its phrases, the most asked for first; the head among them. */
  members: number[];
  /** Searches a month of all its phrases; those not known count nothing. */
  volume: number;
}

/** A phrase belongs to a group to whose phrases it is so alike on average, 0-1. */
const ALIKE = 0.5;
/** What words and results are worth where pages are known for both sides. */
const WORDS = 0.6;
const RESULTS = 0.4;
/** Without any word in common, results do so where so many are the same. */
const SAME_RESULTS = 0.8;
const RESULTS_ALONE = 0.6;
/** Groups that share so many are looked at. */
const NEAR_RESULTS = 0.5;
/** Phrases of which all are wanted for another purpose are less alike by this. */
const OTHER_PURPOSE = 0.2;
/** Pages of a phrase that are compared. */
const PAGES = 10;
/** Phrases that are looked at in one step. */
const STEP = 500;
/** Words of a phrase, its rarest, by pairs of which groups are looked for; and by so many alone. */
const RAREST = 4;
const ALONE = 2;
/** What so many groups have says nothing about which to join, and looking at all of them would not end. */
const MOST_GROUPS = 40;
/** Groups that are compared with a phrase: those that share most with it. */
const COMPARED = 10;
/** Times that every phrase is asked again where it belongs. */
const ROUNDS = 2;
/** It moves only to where it belongs clearly better. */
const BETTER = 0.02;

/** A group as the sums of what its phrases are: the product with a phrase, over their number, is the mean likeness. */
interface Group {
  members: Set<number>;
  words: Map<number, number>;
  pages: Map<number, number>;
  /** Under which it is found. */
  keys: Set<number>;
  /** Members whose pages are known. */
  known: number;
  /** Pages of all of them. */
  found: number;
  intents: Map<Intent, number>;
}

interface Item {
  dims: Int32Array;
  parts: Float32Array;
  /** Words and pairs of words by which it is found, each with what it weighs. */
  keys: readonly (readonly [key: number, weight: number])[];
  pages: number[];
  known: boolean;
  intent: Intent | undefined;
}

class Groups {
  readonly all = new Set<Group>();
  private readonly byKey = new Map<number, Set<Group>>();
  private readonly byPage = new Map<number, Set<Group>>();

  constructor(private readonly items: readonly Item[]) {}

  begin(): Group {
    const group: Group = {
      members: new Set(),
      words: new Map(),
      pages: new Map(),
      keys: new Set(),
      known: 0,
      found: 0,
      intents: new Map(),
    };
    this.all.add(group);
    return group;
  }

  put(index: number, group: Group): void {
    const { dims, parts, pages, known, intent, keys } = this.items[index];
    group.members.add(index);
    for (let at = 0; at < dims.length; at++)
      group.words.set(dims[at], (group.words.get(dims[at]) ?? 0) + parts[at]);
    for (const [key] of keys) {
      group.keys.add(key);
      note(this.byKey, key, group);
    }
    if (known) group.known += 1;
    group.found += pages.length;
    for (const page of pages) {
      group.pages.set(page, (group.pages.get(page) ?? 0) + 1);
      note(this.byPage, page, group);
    }
    if (intent) group.intents.set(intent, (group.intents.get(intent) ?? 0) + 1);
  }

  take(index: number, group: Group): void {
    const { dims, parts, pages, known, intent } = this.items[index];
    group.members.delete(index);
    for (let at = 0; at < dims.length; at++)
      group.words.set(dims[at], (group.words.get(dims[at]) ?? 0) - parts[at]);
    if (known) group.known -= 1;
    group.found -= pages.length;
    for (const page of pages) group.pages.set(page, (group.pages.get(page) ?? 1) - 1);
    if (intent) group.intents.set(intent, (group.intents.get(intent) ?? 1) - 1);
    if (group.members.size === 0) this.end(group);
  }

  private end(group: Group): void {
    this.all.delete(group);
    for (const key of group.keys) this.byKey.get(key)?.delete(group);
    for (const page of group.pages.keys()) this.byPage.get(page)?.delete(group);
  }

  /** The mean likeness of a phrase to a group's, itself left aside, 0-1. */
  likeness(index: number, group: Group): number {
    const { dims, parts, pages, known, intent } = this.items[index];
    const inside = group.members.has(index) ? 1 : 0;
    const count = group.members.size - inside;
    if (count === 0) return 0;
    let words = 0;
    for (let at = 0; at < dims.length; at++) words += parts[at] * (group.words.get(dims[at]) ?? 0);
    words = (words - (inside && dims.length > 0 ? 1 : 0)) / count;
    let alike = words;
    const others = group.known - (known ? inside : 0);
    if (known && others > 0) {
      let same = 0;
      for (const page of pages) same += (group.pages.get(page) ?? 0) - inside;
      const theirs = (group.found - inside * pages.length) / others;
      const results = same / others / Math.max(1, Math.min(PAGES, Math.max(pages.length, theirs)));
      alike = WORDS * words + RESULTS * results;
      if (results >= SAME_RESULTS) alike = Math.max(alike, RESULTS_ALONE * results);
    }
    if (!intent) return alike;
    const sameIntent = (group.intents.get(intent) ?? 0) - inside;
    return alike * (1 - OTHER_PURPOSE * (1 - Math.min(1, sameIntent / count)));
  }

  /** Groups that share most rare words or pages with a phrase. */
  private near(index: number): Iterable<Group> {
    const { keys, pages } = this.items[index];
    const found = new Map<Group, number>();
    for (const [key, weight] of keys) {
      const groups = this.byKey.get(key);
      if (groups && groups.size <= MOST_GROUPS)
        for (const group of groups) found.set(group, (found.get(group) ?? 0) + weight);
    }
    if (pages.length > 0) {
      const shared = new Map<Group, number>();
      for (const page of pages) {
        const groups = this.byPage.get(page);
        if (!groups || groups.size > MOST_GROUPS) continue;
        for (const group of groups) shared.set(group, (shared.get(group) ?? 0) + 1);
      }
      for (const [group, count] of shared)
        if (count >= pages.length * NEAR_RESULTS)
          found.set(group, (found.get(group) ?? 0) + count / pages.length);
    }
    if (found.size <= COMPARED) return found.keys();
    return [...found]
      .sort((a, b) => b[1] - a[1])
      .slice(0, COMPARED)
      .map(([group]) => group);
  }

  /** Where a phrase belongs best, with how well. */
  best(index: number): { group: Group | null; alike: number } {
    let best: Group | null = null;
    let alike = 0;
    for (const group of this.near(index)) {
      const value = this.likeness(index, group);
      if (value > alike) {
        best = group;
        alike = value;
      }
    }
    return { group: best, alike };
  }

  /** The mean likeness of the phrases of one group to those of another. */
  between(small: Group, large: Group): number {
    let sum = 0;
    for (const index of small.members) sum += this.likeness(index, large);
    return sum / small.members.size;
  }
}

/** Every word fits below it, so that a pair of two makes one key. */
const WORDS_AT_MOST = 2 ** 26;

/** The keys under which a phrase of these words (the rarest first) is found. */
function keysOf(words: readonly number[]): [key: number, weight: number][] {
  const keys: [number, number][] = [];
  for (const [at, word] of words.entries()) {
    if (at < ALONE) keys.push([word, 1 / (1 + at)]);
    for (const [before, other] of words.slice(0, at).entries()) {
      const [low, high] = word < other ? [word, other] : [other, word];
      keys.push([(low + 1) * WORDS_AT_MOST + high, 1 / (1 + at) + 1 / (1 + before)]);
    }
  }
  return keys;
}

function note(map: Map<number, Set<Group>>, key: number, group: Group): void {
  const groups = map.get(key);
  if (groups) groups.add(group);
  else map.set(key, new Set([group]));
}

/**
 * Groups phrases that one post can answer. Two phrases are alike by their words and the kin of these (weighed by how rare
 * they are, see {@link PhraseVectors}), by the pages that both are found by, and a little by whether the same is wanted.
 * In order of volume each joins the group to whose phrases it is most alike on average (average linkage), or begins one;
 * then every phrase is asked again, and groups that are one are joined. A group is named by the phrase that is asked for
 * often and most like the others. Groups are looked for by rare words and shared pages alone, so that time grows nearly
 * with the number of phrases. Clusters come by volume, the largest first.
 *
 * It works in steps, so that whoever runs it can show how far it is (each step yields the share that is done, 0 to 1),
 * let others in between, or leave off.
 */
export function* clusterSteps(phrases: readonly Clusterable[]): Generator<number, Cluster[]> {
  const rounds = ROUNDS + 4;
  let done = 0;
  const share = () => Math.min(1, done / Math.max(1, phrases.length * rounds));
  const vectors = new PhraseVectors();
  for (const { phrase } of phrases) {
    if (done % STEP === 0) yield share();
    vectors.add(phrase);
    done += 1;
  }
  const pageNumbers = new Map<string, number>();
  const items: Item[] = [];
  for (const [at, { pages, intent }] of phrases.entries()) {
    if (done % STEP === 0) yield share();
    const { dims, parts, own } = vectors.vector(at);
    const found = (pages ?? []).slice(0, PAGES).map((page) => {
      const number = pageNumbers.get(page) ?? pageNumbers.size;
      pageNumbers.set(page, number);
      return number;
    });
    items.push({
      dims,
      parts,
      keys: keysOf(own.slice(0, RAREST)),
      pages: [...new Set(found)],
      known: pages !== null,
      intent,
    });
    done += 1;
  }
  const order = phrases
    .map((_, at) => at)
    .sort((a, b) => (phrases[b].volume ?? -1) - (phrases[a].volume ?? -1) || a - b);
  const groups = new Groups(items);
  const homes: Group[] = new Array(phrases.length);
  for (let round = 0; round <= ROUNDS; round++)
    for (const index of order) {
      if (done % STEP === 0) yield share();
      done += 1;
      const home = homes[index];
      const { group, alike } = groups.best(index);
      if (home === undefined) {
        homes[index] = group !== null && alike >= ALIKE ? group : groups.begin();
        groups.put(index, homes[index]);
        continue;
      }
      const here = groups.likeness(index, home);
      const moves = group !== null && group !== home && alike >= ALIKE && alike > here + BETTER;
      const leaves = !moves && here < ALIKE && home.members.size > 1;
      if (!moves && !leaves) continue;
      groups.take(index, home);
      homes[index] = moves ? group : groups.begin();
      groups.put(index, homes[index]);
    }
  // Groups that began apart and became one; the small ones ask.
  for (const group of [...groups.all].sort((a, b) => a.members.size - b.members.size)) {
    if (!groups.all.has(group)) continue;
    if (done % STEP === 0) yield share();
    done += 1;
    const tried = new Set<Group>();
    for (const index of group.members) {
      const other = bestOther(groups, index, group);
      if (other) tried.add(other);
    }
    let best: Group | null = null;
    let alike = ALIKE;
    for (const other of tried) {
      const value = groups.between(group, other);
      if (value >= alike) {
        best = other;
        alike = value;
      }
    }
    if (!best) continue;
    for (const index of [...group.members]) {
      groups.take(index, group);
      groups.put(index, best);
    }
  }
  yield 1;
  return [...groups.all]
    .map((group) => clusterOf(group, groups, phrases))
    .sort((a, b) => b.volume - a.volume || a.head - b.head);
}

/** The group beside its own to which a phrase is most alike. */
function bestOther(groups: Groups, index: number, own: Group): Group | null {
  const { group } = groups.best(index);
  return group === own ? null : group;
}

function clusterOf(group: Group, groups: Groups, phrases: readonly Clusterable[]): Cluster {
  const members = [...group.members].sort(
    (a, b) => (phrases[b].volume ?? -1) - (phrases[a].volume ?? -1) || a - b,
  );
  const standing = (index: number) =>
    (1 + Math.log2(1 + (phrases[index].volume ?? 0))) *
    (members.length === 1 ? 1 : groups.likeness(index, group));
  const head = members.reduce((best, index) => (standing(index) > standing(best) ? index : best), members[0]);
  return {
    head,
    name: phrases[head].phrase,
    members,
    volume: members.reduce((sum, index) => sum + (phrases[index].volume ?? 0), 0),
  };
}

/** The same in one go. */
export function clusterPhrases(phrases: readonly Clusterable[]): Cluster[] {
  const steps = clusterSteps(phrases);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
