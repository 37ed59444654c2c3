import { daysBetween, shiftDay } from '../release/index.ts';
import type { DaySpan } from '../research/index.ts';

/** Monthly figures of phrases by phrase in comparable form; null: not known. */
export type MonthsOf = (query: string) => readonly number[] | null;

/** Months against their year's mean, 1 alike; of several queries added up, each by its weight. */
export type SeasonProfile = readonly number[];

/** The season of queries, each weighing by its `weight` (what it was shown for); null where no months are known of any. */
export function seasonProfile(
  queries: Iterable<{ query: string; weight: number }>,
  monthsOf: MonthsOf,
): SeasonProfile | null {
  const profile = Array<number>(12).fill(0);
  let isKnown = false;
  for (const { query, weight } of queries) {
    if (weight <= 0) continue;
    const months = monthsOf(query);
    if (months?.length !== 12) continue;
    const mean = months.reduce((sum, month) => sum + month, 0) / 12;
    if (mean <= 0) continue;
    isKnown = true;
    for (let month = 0; month < 12; month++) profile[month] += (weight * months[month]) / mean;
  }
  return isKnown ? profile : null;
}

/** Seasons of several pages as one. */
export function joinedProfile(profiles: Iterable<SeasonProfile | null>): SeasonProfile | null {
  let joined: number[] | null = null;
  for (const profile of profiles) {
    if (!profile) continue;
    joined ??= Array<number>(12).fill(0);
    for (let month = 0; month < 12; month++) joined[month] += profile[month];
  }
  return joined;
}

/** The mean over the days of a span, each day that of its month. 0 is possible: nobody asks then. */
function meanOver(profile: SeasonProfile, { from, to }: DaySpan): number {
  let [sum, days] = [0, 0];
  for (let day = from; day <= to; ) {
    const month = Number(day.slice(5, 7)) - 1;
    const last = new Date(Date.UTC(Number(day.slice(0, 4)), month + 1, 0)).toISOString().slice(0, 10);
    const end = last < to ? last : to;
    const count = daysBetween(day, end) + 1;
    sum += profile[month] * count;
    days += count;
    day = shiftDay(end, 1);
  }
  return days === 0 ? 0 : sum / days;
}

/**
 * How much more is asked for in one span of days than in another: 1 alike, 2 twice as much. Null where no season is known, or nobody
 * asks in either.
 */
export function profileRatio(profile: SeasonProfile | null, before: DaySpan, after: DaySpan): number | null {
  if (!profile) return null;
  const [then, now] = [meanOver(profile, before), meanOver(profile, after)];
  return then > 0 && now > 0 ? now / then : null;
}

/** The same of queries. */
export const demandRatio = (
  queries: Iterable<{ query: string; weight: number }>,
  monthsOf: MonthsOf,
  before: DaySpan,
  after: DaySpan,
): number | null => profileRatio(seasonProfile(queries, monthsOf), before, after);

/** A query with its season in two spans of days. */
export interface SeasonRow {
  query: string;
  /** What it was shown for: so much it weighs. */
  shown: number;
  /** What is asked for in a month of the span against the mean of its year: 1.5 is half as much more. */
  before: number;
  after: number;
}

/**
 * The queries of which months are known, those shown most first. The season of all of them ({@link demandRatio}) is the sum of `shown` times
 * `after` over that of `shown` times `before`.
 */
export function seasonRows(
  queries: Iterable<{ query: string; weight: number }>,
  monthsOf: MonthsOf,
  before: DaySpan,
  after: DaySpan,
): SeasonRow[] {
  const shown = new Map<string, number>();
  for (const { query, weight } of queries) shown.set(query, (shown.get(query) ?? 0) + weight);
  return [...shown]
    .flatMap(([query, weight]): SeasonRow[] => {
      const profile = seasonProfile([{ query, weight: 1 }], monthsOf);
      return profile && weight > 0
        ? [{ query, shown: weight, before: meanOver(profile, before), after: meanOver(profile, after) }]
        : [];
    })
    .sort((a, b) => b.shown - a.shown || (a.query < b.query ? -1 : 1));
}
