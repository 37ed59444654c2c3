import { daysBetween, shiftDay } from '../release/index.ts';
import {
  joinedProfile,
  type MonthsOf,
  profileRatio,
  type SeasonProfile,
  type SeasonRow,
  seasonProfile,
  seasonRows,
} from './demand.ts';
import { type BeforeAfter, type Effect, effectOf, MIN_CONTROLS, type TooLittle } from './effect.ts';
import { changedWithin, type PageChange } from './page-changes.ts';
import type { SearchHistory, SearchSum, Window } from './search-history.ts';
import { tQuantile95 } from './student-t.ts';

/** Days that are held against each other to either side of a change: whole weeks, so that weekdays count alike. */
const MAX_DAYS = 28;
const MIN_DAYS = 14;
/** Days after a change that are left out: search needs them to notice it. */
const UNNOTICED_DAYS = 7;
/** A period of which no single days are known may be so long at most, and begin or end so far from the change. */
const MAX_PERIOD_DAYS = 100;
const MAX_GAP_DAYS = 45;

/** Clicks, and impressions, that a page must have before and after together. */
const MIN_CLICKS = 20;
const MIN_IMPRESSIONS = 200;

/** A change of the mean rank: less is better. */
export interface PositionEffect {
  kind: 'effect';
  /** Ranks gained (below 0) or lost against the other pages. */
  ranks: number;
  low: number;
  high: number;
  controls: number;
}

/** What came of a change, with what it was computed from. */
export interface ChangeEffect {
  change: PageChange;
  before: Window;
  after: Window;
  /** The page's sums in both. */
  was: SearchSum;
  is: SearchSum;
  /** How much more was asked for after than before by the seasons of its queries; null: no season is known. */
  demand: number | null;
  clicks: Effect | TooLittle;
  impressions: Effect | TooLittle;
  position: PositionEffect | TooLittle;
  /** Clicks of the days after that are owed to the change; null: cannot be told. */
  clicksWon: number | null;
}

/** What of a page a change may have moved. */
export type EffectFigure = 'clicks' | 'impressions' | 'position';

/** A page that a change was held against. */
export interface ControlPage {
  path: string;
  was: SearchSum;
  is: SearchSum;
  /** How much more was asked for after than before, by its season or, where none is known, that of the site; 1: not known either. */
  demand: number;
}

/** Why the days around a change cannot be held against each other. */
export interface NoWindows {
  change: PageChange;
  why: 'publication' | 'too-early' | 'too-late' | 'other-change';
  /** Days that are known on the side that lacks, and how many are wanted. */
  days: number;
  wanted: number;
}

/** The pages of a site with what was changed of each. */
export interface PagesInTime {
  history: SearchHistory;
  /** Changes by path; a page without any is not there. */
  changes: ReadonlyMap<string, readonly PageChange[]>;
  monthsOf: MonthsOf;
}

/** The days known without a gap at an end of a window, by whole weeks, at most so many. */
function wholeWeeks(history: SearchHistory, from: string, to: string): number {
  const { days } = history.window(from, to);
  return days === daysBetween(from, to) + 1 ? Math.floor(Math.min(days, MAX_DAYS) / 7) * 7 : 0;
}

/** Single days to either side; null where too few are known one by one. */
function byDays(history: SearchHistory, day: string, from: string, to: string): [Window, Window] | null {
  const noticed = shiftDay(day, UNNOTICED_DAYS);
  for (let days = MAX_DAYS; days >= MIN_DAYS; days -= 7) {
    const [first, last] = [shiftDay(day, -days), shiftDay(noticed, days - 1)];
    if (first < from || last > to) continue;
    const before = history.window(first, shiftDay(day, -1));
    const after = history.window(noticed, last);
    if (
      wholeWeeks(history, before.from, before.to) === days &&
      wholeWeeks(history, after.from, after.to) === days
    )
      return [before, after];
  }
  return null;
}

/** The nearest periods to either side of which no single days are known; null where there are none. */
function byPeriods(history: SearchHistory, day: string, from: string, to: string): [Window, Window] | null {
  const isUsable = (days: number) => days >= MIN_DAYS && days <= MAX_PERIOD_DAYS;
  const earlier = history.spans
    .filter((span) => span.to < day && span.from >= from && isUsable(span.days))
    .at(-1);
  const later = history.spans.find((span) => span.from >= day && span.to <= to && isUsable(span.days));
  if (!earlier || !later) return null;
  if (daysBetween(earlier.to, day) > MAX_GAP_DAYS || daysBetween(day, later.from) > MAX_GAP_DAYS) return null;
  return [history.window(earlier.from, earlier.to), history.window(later.from, later.to)];
}

/** The days to either side of a change that can be held against each other: no other change of the page falls into them. */
function windowsOf(
  { history }: PagesInTime,
  change: PageChange,
  own: readonly PageChange[],
): [Window, Window] | NoWindows {
  const { reach } = history;
  const lacking = (why: NoWindows['why'], days: number): NoWindows => ({
    change,
    why,
    days,
    wanted: MIN_DAYS,
  });
  if (change.parts.some(({ kind }) => kind === 'published')) return lacking('publication', 0);
  if (!reach) return lacking('too-early', 0);
  const { day } = change;
  const previous = own.filter((other) => other.day < day).at(-1)?.day;
  const next = own.find((other) => other.day > day)?.day;
  // What the change before did must be over as well.
  const from = previous === undefined ? reach.from : shiftDay(previous, UNNOTICED_DAYS);
  const to = next === undefined ? reach.to : shiftDay(next, -1);
  const found = byDays(history, day, from, to) ?? byPeriods(history, day, from, to);
  if (found) return found;
  const known = (first: string, last: string) => (first > last ? 0 : history.window(first, last).days);
  const [back, ahead] = [
    known(reach.from, shiftDay(day, -1)),
    known(shiftDay(day, UNNOTICED_DAYS), reach.to),
  ];
  if (back < MIN_DAYS) return lacking('too-early', back);
  if (ahead < MIN_DAYS) return lacking('too-late', ahead);
  return lacking(
    'other-change',
    Math.min(known(from, shiftDay(day, -1)), known(shiftDay(day, UNNOTICED_DAYS), to)),
  );
}

const positionTooLittle = (count: number): TooLittle => ({
  kind: 'too-little',
  why: 'few-others',
  count,
  wanted: MIN_CONTROLS,
});

/** What a change did to the mean rank: the page's move less the mean move of the others, as the prediction for one more of them. */
function positionEffect(
  was: SearchSum,
  is: SearchSum,
  others: readonly { was: SearchSum; is: SearchSum }[],
): PositionEffect | TooLittle {
  const moves = others.flatMap((other) =>
    other.was.position === null || other.is.position === null ? [] : [other.is.position - other.was.position],
  );
  if (was.position === null || is.position === null)
    return {
      kind: 'too-little',
      why: 'seldom-seen',
      count: was.impressions + is.impressions,
      wanted: MIN_IMPRESSIONS,
    };
  if (moves.length < MIN_CONTROLS) return positionTooLittle(moves.length);
  const mean = moves.reduce((sum, move) => sum + move, 0) / moves.length;
  const variance = moves.reduce((sum, move) => sum + (move - mean) ** 2, 0) / (moves.length - 1);
  const reach = tQuantile95(moves.length - 1) * Math.sqrt(variance * (1 + 1 / moves.length));
  const ranks = is.position - was.position - mean;
  return { kind: 'effect', ranks, low: ranks - reach, high: ranks + reach, controls: moves.length };
}

/** What a page must have been counted, before and after together, to tell what of it a change moved. */
const WANTED: Record<EffectFigure, number> = {
  clicks: MIN_CLICKS,
  impressions: MIN_IMPRESSIONS,
  position: MIN_IMPRESSIONS,
};

/** The site's other pages that did not change meanwhile, in both windows. */
function othersOf(
  pages: PagesInTime,
  path: string,
  [before, after]: [Window, Window],
): { others: ControlPage[]; demand: number | null } {
  const { history, changes } = pages;
  const seasons = seasonsOf(pages);
  const ofSite = profileRatio(seasons.ofSite, before, after);
  const demandOf = (of: string): number | null => profileRatio(seasons.of(of), before, after);
  const others = history.paths
    .filter((other) => other !== path && !changedWithin(changes.get(other) ?? [], before.from, after.to))
    .map(
      (other): ControlPage => ({
        path: other,
        was: history.sum(other, before),
        is: history.sum(other, after),
        demand: demandOf(other) ?? ofSite ?? 1,
      }),
    );
  return { others, demand: demandOf(path) ?? ofSite };
}

/** Whether a page was seen often enough to be held against. */
const isSeen = ({ was, is }: ControlPage, of: EffectFigure): boolean =>
  of === 'clicks'
    ? was.clicks + is.clicks >= WANTED.clicks
    : was.impressions + is.impressions >= WANTED[of] &&
      (of === 'impressions' || (was.position !== null && is.position !== null));

/**
 * What came of a change of a page: its sums before and after, held against the site's other pages that did not change meanwhile
 * ({@link effectOf}). Four whole weeks to either side where they are known day by day, two at least; the week
 * after the change is left out. Of longer periods the nearest to either side. Season comes from the months of
 * the queries that each page is shown for; of a page of whose queries none is known, from those of all pages.
 */
export function changeEffect(pages: PagesInTime, path: string, change: PageChange): ChangeEffect | NoWindows {
  const { history, changes } = pages;
  const windows = windowsOf(pages, change, changes.get(path) ?? []);
  if (!Array.isArray(windows)) return windows;
  const [before, after] = windows;
  const lengths = before.days / after.days;
  const { others, demand } = othersOf(pages, path, windows);
  const [was, is] = [history.sum(path, before), history.sum(path, after)];
  const counted = (
    count: 'clicks' | 'impressions',
    of: { was: SearchSum; is: SearchSum; demand: number },
  ): BeforeAfter => ({
    before: of.was[count],
    after: of.is[count],
    // Windows of different lengths: more days show more.
    demand: of.demand / lengths,
  });
  const own = { was, is, demand: demand ?? 1 };
  const effect = (count: 'clicks' | 'impressions') =>
    effectOf(
      counted(count, own),
      others.map((other) => counted(count, other)),
      WANTED[count],
    );
  const clicks = effect('clicks');
  return {
    change,
    before,
    after,
    was,
    is,
    demand,
    clicks,
    impressions: effect('impressions'),
    position: positionEffect(
      was,
      is,
      others.filter((other) => isSeen(other, 'position')),
    ),
    clicksWon: clicks.kind === 'effect' ? is.clicks - is.clicks / clicks.ratio : null,
  };
}

/** The pages that a change of a page is held against, by their paths; none where nothing can be told of it. */
export function controlsOf(
  pages: PagesInTime,
  path: string,
  change: PageChange,
  of: EffectFigure,
): ControlPage[] {
  const windows = windowsOf(pages, change, pages.changes.get(path) ?? []);
  if (!Array.isArray(windows)) return [];
  return othersOf(pages, path, windows)
    .others.filter((other) => isSeen(other, of))
    .sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : 0));
}

/**
 * What the season of a page around a change is worked out from: its queries, or those of all pages where none of its own is known
 * (`isOfSite`). Null: of no query the months are known, or nothing can be told of the change.
 */
export function seasonRowsOf(
  pages: PagesInTime,
  path: string,
  change: PageChange,
): { isOfSite: boolean; rows: SeasonRow[] } | null {
  const { history, monthsOf } = pages;
  const windows = windowsOf(pages, change, pages.changes.get(path) ?? []);
  if (!Array.isArray(windows)) return null;
  const [before, after] = windows;
  const isOfSite = profileRatio(seasonsOf(pages).of(path), before, after) === null;
  const queries = (isOfSite ? history.paths : [path]).flatMap((of) => history.shownFor(of));
  const rows = seasonRows(queries, monthsOf, before, after);
  return rows.length > 0 ? { isOfSite, rows } : null;
}

/** The seasons of pages, each worked out once. */
interface Seasons {
  of: (path: string) => SeasonProfile | null;
  ofSite: SeasonProfile | null;
}

const known = new WeakMap<PagesInTime, Seasons>();

function seasonsOf(pages: PagesInTime): Seasons {
  let seasons = known.get(pages);
  if (!seasons) {
    const { history, monthsOf } = pages;
    const byPath = new Map(
      history.paths.map((path) => [path, seasonProfile(history.shownFor(path), monthsOf)]),
    );
    seasons = { of: (path) => byPath.get(path) ?? null, ofSite: joinedProfile(byPath.values()) };
    known.set(pages, seasons);
  }
  return seasons;
}
