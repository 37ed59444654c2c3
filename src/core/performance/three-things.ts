import { seasonOf, weeksUntil } from '../research/index.ts';
import type { LossCause } from './losing.ts';

/** Why a page matters now. */
export type ThingReason =
  | { kind: 'losing'; cause: LossCause }
  | { kind: 'harmed'; words: string }
  | { kind: 'title' }
  | { kind: 'near-win'; query: string; position: number }
  | { kind: 'season'; query: string; weeks: number };

/** Something that is worth doing now. */
export interface Thing {
  path: string;
  reason: ThingReason;
  /** Clicks in four weeks that are at stake. */
  clicks: number;
}

/** Clicks below which nothing matters. */
const MIN_CLICKS = 1;

/**
 * The few things that matter most of all that could be done: those with most clicks at stake, one of each page: what is done about a page is
 * done once. Of equal ones the page that comes first by its path.
 */
export function thingsThatMatter<One extends Thing>(things: readonly One[], most = 3): One[] {
  const taken = new Set<string>();
  return [...things]
    .filter(({ clicks }) => clicks >= MIN_CLICKS)
    .sort((a, b) => b.clicks - a.clicks || (a.path < b.path ? -1 : a.path > b.path ? 1 : 0))
    .filter(({ path }) => !taken.has(path) && taken.add(path))
    .slice(0, most);
}

/** Weeks before a season in which a post is refreshed for it. */
const SEASON_AHEAD = 6;

/**
 * What a page would gain at the height of a season that begins within six weeks over what it has now, in clicks of as many days as are
 * given; null where none begins then, or nobody asks now.
 *
 * @param months of the query that it has most clicks by; null: not known
 */
export function seasonGain(
  clicks: number,
  months: readonly number[] | null,
  today: Date,
): { weeks: number; clicks: number } | null {
  const season = seasonOf(months);
  if (!months || !season || season.from === today.getUTCMonth()) return null;
  const weeks = weeksUntil(season.from, today);
  const mean = months.reduce((sum, month) => sum + month, 0) / 12;
  const now = months[today.getUTCMonth()] / mean;
  if (weeks > SEASON_AHEAD || now <= 0) return null;
  return { weeks, clicks: clicks * Math.max(0, season.height / now - 1) };
}
