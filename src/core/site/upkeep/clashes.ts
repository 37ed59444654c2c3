import { clashesAmong, type Overlap, type SameAsking } from '../../research/index.ts';

/** A post as it is held against others on its target. */
export interface TargetedPost {
  id: string;
  title: string;
  keyword: string;
  supporting: readonly string[];
  /** RFC 3339; empty: none. */
  date: string;
  /** Over the time of the search performance that is known; 0 where none is. */
  clicks: number;
  impressions: number;
  /** Other pages of the site that link to it. */
  links: number;
  /** 0-100; null: not scored yet. */
  score: number | null;
}

/** A query for which both of two posts were shown. */
export interface SharedQuery {
  query: string;
  /** Of the first and of the second. */
  impressions: [number, number];
}

/** Two posts that want to be found for the same. */
export interface Clash {
  ids: [string, string];
  /** How their targets are told to be one; `phrases`: they have most of their keywords in common; `queries`: search shows both. */
  by: NonNullable<Overlap['primaryBy']> | 'phrases' | 'queries';
  phrases: string[];
  /** For which both were shown, the most shown first. */
  queries: SharedQuery[];
  /** Which of them should keep the target, and why in a few words. */
  keeper: string;
  because: string;
}

/** Rows of search performance by post. */
export type ShownQueries = ReadonlyMap<string, ReadonlyMap<string, number>>;

/** A query counts as shared where each of the two has this part of its impressions. */
const LEAST_PART = 0.15;
/** Two posts clash by search where shared queries are this part of the impressions of the one that is shown less. */
const CLASHING_PART = 0.4;
const LEAST_IMPRESSIONS = 20;

/** Queries for which both of two posts were shown, each often enough. */
export function sharedQueries(
  one: ReadonlyMap<string, number> | undefined,
  other: ReadonlyMap<string, number> | undefined,
): SharedQuery[] {
  if (!one || !other) return [];
  const [few, many] = one.size <= other.size ? [one, other] : [other, one];
  const found: SharedQuery[] = [];
  for (const query of few.keys()) {
    if (!many.has(query)) continue;
    const impressions: [number, number] = [one.get(query)!, other.get(query)!];
    if (Math.min(...impressions) >= LEAST_PART * (impressions[0] + impressions[1]))
      found.push({ query, impressions });
  }
  const sum = ({ impressions: [a, b] }: SharedQuery) => a + b;
  return found.sort((a, b) => sum(b) - sum(a) || (a.query < b.query ? -1 : 1));
}

/** Which of two posts should keep a target that both have: the one that search, then the site, holds for the better. */
export function keeperOf(a: TargetedPost, b: TargetedPost): { keeper: string; because: string } {
  const reasons: [wins: number, says: (better: TargetedPost, other: TargetedPost) => string][] = [
    [a.clicks - b.clicks, (x, y) => `more clicks, ${x.clicks} to ${y.clicks}`],
    [a.impressions - b.impressions, (x, y) => `shown more often, ${x.impressions} times to ${y.impressions}`],
    [a.links - b.links, (x, y) => `more pages link to it, ${x.links} to ${y.links}`],
    [
      Math.round(a.score ?? 0) - Math.round(b.score ?? 0),
      (x, y) => `the better score, ${Math.round(x.score ?? 0)} to ${Math.round(y.score ?? 0)}`,
    ],
    // Of two days the earlier: readers and links have known it longer.
    [a.date && b.date ? (a.date < b.date ? 1 : a.date > b.date ? -1 : 0) : 0, () => 'the older of the two'],
  ];
  const reason = reasons.find(([wins]) => wins !== 0);
  if (!reason) return { keeper: a.id < b.id ? a.id : b.id, because: 'nothing tells them apart' };
  const [better, other] = reason[0] > 0 ? [a, b] : [b, a];
  return { keeper: better.id, because: reason[1](better, other) };
}

/**
 * Posts that want to be found for the same: their targets are one by their words, their meaning or the pages found for them, most of
 * their keywords are, or search shows both for the same queries. Those with most impressions at stake first.
 */
export function clashes(posts: readonly TargetedPost[], asking: SameAsking, shown: ShownQueries): Clash[] {
  const byId = new Map(posts.map((post) => [post.id, post]));
  const holders = posts
    .filter(({ keyword }) => keyword !== '')
    .map(({ id, title, keyword, supporting }) => ({
      id,
      name: title,
      primary: keyword,
      phrases: [keyword, ...supporting],
    }));
  const found = new Map<string, Clash>();
  const add = (one: string, other: string, by: Clash['by'], phrases: string[]) => {
    const ids = (one < other ? [one, other] : [other, one]) as [string, string];
    if (found.has(ids.join('\n'))) return;
    const queries = sharedQueries(shown.get(ids[0]), shown.get(ids[1]));
    found.set(ids.join('\n'), {
      ids,
      by,
      phrases,
      queries,
      ...keeperOf(byId.get(ids[0])!, byId.get(ids[1])!),
    });
  };
  for (const { own, overlap } of clashesAmong(holders, asking))
    add(
      own.id,
      overlap.holder.id,
      overlap.primaryBy ?? 'phrases',
      overlap.primaryBy ? [own.primary, overlap.holder.primary] : overlap.shared.map(({ phrase }) => phrase),
    );
  for (const [one, other] of shownTogether(shown)) {
    if (!byId.has(one) || !byId.has(other)) continue;
    const queries = sharedQueries(shown.get(one), shown.get(other));
    const [here, there] = [0, 1].map((at) =>
      queries.reduce((sum, { impressions }) => sum + impressions[at], 0),
    );
    const parts = [here / total(shown.get(one)), there / total(shown.get(other))];
    if (here + there >= LEAST_IMPRESSIONS && Math.max(...parts) >= CLASHING_PART)
      add(one, other, 'queries', []);
  }
  const stake = ({ queries, ids }: Clash) =>
    queries.reduce((sum, { impressions: [a, b] }) => sum + a + b, 0) ||
    Math.min(...ids.map((id) => byId.get(id)!.impressions));
  return [...found.values()].sort((a, b) => stake(b) - stake(a) || (a.ids.join() < b.ids.join() ? -1 : 1));
}

const total = (queries: ReadonlyMap<string, number> | undefined): number =>
  Math.max(
    1,
    [...(queries?.values() ?? [])].reduce((sum, one) => sum + one, 0),
  );

/** Pairs of posts that were shown for one query. */
function shownTogether(shown: ShownQueries): [string, string][] {
  const byQuery = new Map<string, string[]>();
  for (const [id, queries] of shown)
    for (const query of queries.keys()) {
      const list = byQuery.get(query);
      if (list) list.push(id);
      else byQuery.set(query, [id]);
    }
  const pairs = new Map<string, [string, string]>();
  for (const ids of byQuery.values())
    ids.forEach((one, at) => {
      for (const other of ids.slice(at + 1)) pairs.set(`${one}\n${other}`, [one, other]);
    });
  return [...pairs.values()];
}
