import type { DaySpan } from '../research/index.ts';
import { clickShare } from '../research/index.ts';
import { clearOnes } from './clear.ts';
import { demandRatio, type MonthsOf } from './demand.ts';
import type { QuerySum, SearchHistory, SearchSum, Window } from './search-history.ts';

/** Why a page has fewer clicks: what each part took away (below 0) or gave. */
export interface LossParts {
  /** Less is asked for, as the season of its queries says. */
  season: number;
  /** It is shown less often than the season explains. */
  shown: number;
  /** Its ranks are worse. */
  position: number;
  /** It is opened less often than its ranks give. */
  clickRate: number;
}

export type LossCause = keyof LossParts;

/** A query of a page that lost, in both windows. */
export interface LosingQuery {
  query: string;
  was: SearchSum;
  is: SearchSum;
  parts: LossParts;
}

/** A page that has clearly fewer clicks than before. */
export interface LosingPage {
  path: string;
  was: SearchSum;
  is: SearchSum;
  /** Clicks after less those before, counted up to as many days; below 0. */
  change: number;
  parts: LossParts;
  /** What took most. */
  cause: LossCause;
  queries: LosingQuery[];
}

/** Stands for no clicks where shares are formed: too few to count. */
const NEARLY_NONE = 1e-6;
const MIN_LOST = 3;
/** Of the pages named so many may be so by chance. */
const FALSE_SHARE = 0.1;

/** The logarithmic mean of two amounts: the weight that makes logarithmic shares add up to their difference. */
function logMean(a: number, b: number): number {
  return Math.abs(a - b) < 1e-12 ? a : (a - b) / Math.log(a / b);
}

/** What the rank of a query gives; beyond the curve as much as its last rank. */
const rateAt = ({ position }: SearchSum, curve: readonly number[]): number =>
  Math.max(clickShare(curve, position ?? 1), curve.at(-1) ?? 0, NEARLY_NONE);

const NO_PARTS: LossParts = { season: 0, shown: 0, position: 0, clickRate: 0 };

/**
 * What made the clicks to be expected of a query other than before, in such clicks: what it is shown, times what its rank gives; season
 * taken out of what it is shown.
 *
 * @param scale days after over days before
 */
function expectedParts(
  was: SearchSum,
  is: SearchSum,
  curve: readonly number[],
  demand: number,
  scale: number,
): Omit<LossParts, 'clickRate'> {
  const [then, now] = [rateAt(was, curve), rateAt(is, curve)];
  const before = was.impressions * scale * then;
  const after = is.impressions * now;
  if (before === 0 || after === 0) {
    // What is shown no more has no rank: of it nothing but season and being shown can be told.
    const total = after - before;
    const season = total < 0 ? Math.max(total, -before * Math.max(0, 1 - demand)) : 0;
    return { season, shown: total - season, position: 0 };
  }
  const weight = logMean(after, before);
  return {
    season: weight * Math.log(demand),
    shown: weight * (Math.log(is.impressions / (was.impressions * scale)) - Math.log(demand)),
    position: weight * Math.log(now / then),
  };
}

/**
 * What took the clicks of a page: they are those to be expected of what it is shown at its ranks, times how it does against that. The
 * logarithmic mean Divisia index, which leaves nothing over: the parts add up to the difference. Source: B. W. Ang, Energy
 * Policy 33 (2005). The click rate is the page's, not each query's: most queries have too few clicks to tell one.
 *
 * @param queries parts of the expected clicks, with those before and after
 */
function pageParts(
  was: SearchSum,
  is: SearchSum,
  queries: readonly { parts: LossParts; before: number; after: number }[],
  scale: number,
): { parts: LossParts; share: number } {
  const sum = (of: 'before' | 'after') => queries.reduce((total, query) => total + query[of], 0);
  const [expectedBefore, expectedAfter] = [sum('before'), sum('after')];
  const change = is.clicks - was.clicks * scale;
  // Search keeps the queries back, or shows the page no more: its sums alone are known.
  if (expectedBefore <= 0 || expectedAfter <= 0) return { parts: { ...NO_PARTS, shown: change }, share: 0 };
  const weight = logMean(Math.max(is.clicks, NEARLY_NONE), Math.max(was.clicks * scale, NEARLY_NONE));
  const share = weight / logMean(expectedAfter, expectedBefore);
  const own = added(queries.map(({ parts }) => parts));
  const [season, shown, position] = [own.season * share, own.shown * share, own.position * share];
  return { parts: { season, shown, position, clickRate: change - season - shown - position }, share };
}

const added = (all: readonly LossParts[]): LossParts =>
  all.reduce(
    (sum, { season, shown, position, clickRate }) => ({
      season: sum.season + season,
      shown: sum.shown + shown,
      position: sum.position + position,
      clickRate: sum.clickRate + clickRate,
    }),
    NO_PARTS,
  );

/** Two windows of equal length that end with what is known: the latest days and those before them. Null where too little is known. */
export function latestAndBefore(history: SearchHistory, days = 28): [before: Window, after: Window] | null {
  const { reach, spans } = history;
  if (!reach) return null;
  const latest = spans.at(-1)!;
  if (latest.days > 1) {
    const earlier = spans.at(-2);
    return earlier
      ? [history.window(earlier.from, earlier.to), history.window(latest.from, latest.to)]
      : null;
  }
  const first = Math.max(0, spans.length - days);
  const after = history.window(spans[first].from, reach.to);
  const before = history.window(spans[Math.max(0, first - days)].from, spans[Math.max(0, first - 1)].to);
  return first === 0 || before.days < after.days / 2 ? null : [before, after];
}

/**
 * Pages that have clearly fewer clicks in one window than in another, each with what took them: position, season, being shown less,
 * or a click rate under what its ranks give. Those that lost most first. Windows of unequal length are counted up to the later.
 *
 * Rows without a query tell sums, not causes: a page of which no query is known is told by its sums alone.
 */
export function losingPages(
  history: SearchHistory,
  before: Window,
  after: Window,
  curve: readonly number[],
  monthsOf: MonthsOf,
): LosingPage[] {
  const scale = after.days / Math.max(1, before.days);
  const sums = history.paths.map((path) => ({
    path,
    was: history.sum(path, before),
    is: history.sum(path, after),
  }));
  const isClear = clearOnes(
    sums.map(({ was, is }) => {
      const spread = Math.sqrt(is.clicks + was.clicks * scale ** 2);
      return spread === 0 ? 0 : (was.clicks * scale - is.clicks) / spread;
    }),
    FALSE_SHARE,
  );
  return sums
    .flatMap(({ path, was, is }, at): LosingPage[] => {
      const change = is.clicks - was.clicks * scale;
      if (!isClear[at] || -change < MIN_LOST) return [];
      const queries = queriesBeside(history, path, before, after).map(({ query, was: then, is: now }) => {
        const demand = demandOf(query, monthsOf, before, after);
        const parts = { ...expectedParts(then, now, curve, demand, scale), clickRate: 0 };
        const expected = (of: SearchSum) => of.impressions * rateAt(of, curve);
        return { query, was: then, is: now, parts, before: expected(then) * scale, after: expected(now) };
      });
      const { parts, share } = pageParts(was, is, queries, scale);
      const cause = (Object.keys(parts) as LossCause[]).reduce((worst, one) =>
        parts[one] < parts[worst] ? one : worst,
      );
      const lost = (query: LosingQuery) => query.is.clicks - query.was.clicks * scale;
      const told = queries.map(
        ({ query, was: then, is: now, parts: own }): LosingQuery => ({
          query,
          was: then,
          is: now,
          parts: {
            season: own.season * share,
            shown: own.shown * share,
            position: own.position * share,
            clickRate: 0,
          },
        }),
      );
      told.sort((a, b) => lost(a) - lost(b) || (a.query < b.query ? -1 : 1));
      return [{ path, was, is, change, parts, cause, queries: told }];
    })
    .sort((a, b) => a.change - b.change || (a.path < b.path ? -1 : 1));
}

const demandOf = (query: string, monthsOf: MonthsOf, before: DaySpan, after: DaySpan): number =>
  demandRatio([{ query, weight: 1 }], monthsOf, before, after) ?? 1;

const NOTHING: SearchSum = { clicks: 0, impressions: 0, position: null };

/** The queries of a page in two windows, side by side. */
function queriesBeside(
  history: SearchHistory,
  path: string,
  before: Window,
  after: Window,
): { query: string; was: SearchSum; is: SearchSum }[] {
  const key = ({ query }: QuerySum) => query.toLowerCase();
  const now = new Map(history.queriesOf(path, after).map((sum) => [key(sum), sum]));
  const then = new Map(history.queriesOf(path, before).map((sum) => [key(sum), sum]));
  return [...new Set([...then.keys(), ...now.keys()])].map((name) => ({
    query: (then.get(name) ?? now.get(name))!.query,
    was: then.get(name) ?? NOTHING,
    is: now.get(name) ?? NOTHING,
  }));
}
