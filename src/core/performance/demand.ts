import { shiftDay } from '../release/index.ts';
import type { DaySpan } from '../research/index.ts';

/** Monthly figures of phrases by phrase in comparable form; null: not known. */
export type MonthsOf = (query: string) => readonly number[] | null;

/** The mean of the months over the days of a span, each day that of its month. 0 is possible: nobody asks then. */
function meanOver(months: readonly number[], { from, to }: DaySpan): number {
  let [sum, days] = [0, 0];
  for (let day = from; day <= to; day = shiftDay(day, 1)) {
    sum += months[Number(day.slice(5, 7)) - 1];
    days += 1;
  }
  return days === 0 ? 0 : sum / days;
}

/**
 * How much more is asked for in one span of days than in another, by the seasons of queries: 1 alike, 2 twice as much. Each query weighs
 * by its `weight` (what it was shown for). Null where no query with known months has any weight, or nobody asks in the earlier span.
 */
export function demandRatio(
  queries: Iterable<{ query: string; weight: number }>,
  monthsOf: MonthsOf,
  before: DaySpan,
  after: DaySpan,
): number | null {
  let [then, now] = [0, 0];
  for (const { query, weight } of queries) {
    if (weight <= 0) continue;
    const months = monthsOf(query);
    if (months?.length !== 12) continue;
    const mean = months.reduce((sum, month) => sum + month, 0) / 12;
    if (mean <= 0) continue;
    then += (weight * meanOver(months, before)) / mean;
    now += (weight * meanOver(months, after)) / mean;
  }
  return then > 0 && now > 0 ? now / then : null;
}
