import type { DatedRow } from '../research/index.ts';
import { clearOnes } from './clear.ts';
import { type CurveRank, curveWithout, expectedClicks } from './click-curve.ts';

/** A page that is opened less often than its ranks should give. */
export interface UnderCurve {
  path: string;
  clicks: number;
  impressions: number;
  /** Clicks that pages of this site have at such ranks. */
  expected: number;
  /** Clicks to win: expected less those there are. */
  missing: number;
  /** Its queries with what each should give, those that miss most first. */
  queries: { query: string; clicks: number; impressions: number; position: number; expected: number }[];
}

/** Of the pages named so many may be so by chance: another title is soon tried. */
const FALSE_SHARE = 0.25;
/** Clicks that must be missing before a page is named. */
const MIN_MISSING = 3;

/**
 * Pages whose click rate is clearly under the curve: of each, what the other pages of the site are opened for at the ranks of its
 * queries ({@link curveWithout}), against its own clicks. Clear is what chance hardly gives: counts scatter, and pages more than
 * counts do; how much more is taken from all pages (quasi-Poisson, at least 1). Those that miss most first.
 *
 * @param rows of one window, those of pages by path; queries that ask for the site itself left out
 */
export function underCurve(
  rows: readonly DatedRow[],
  curve: readonly CurveRank[],
  house: readonly number[],
): UnderCurve[] {
  const byPage = new Map<string, DatedRow[]>();
  for (const row of rows) {
    if (row.query === '' || row.position > house.length) continue;
    const own = byPage.get(row.page);
    if (own) own.push(row);
    else byPage.set(row.page, [row]);
  }
  const pages = [...byPage].map(([path, own]): UnderCurve => {
    const shares = curveWithout(curve, own, house);
    const queries = own
      .map((row) => ({
        query: row.query,
        clicks: row.clicks,
        impressions: row.impressions,
        position: row.position,
        expected: expectedClicks(row, shares),
      }))
      .sort((a, b) => b.expected - b.clicks - (a.expected - a.clicks) || (a.query < b.query ? -1 : 1));
    const sum = (of: 'clicks' | 'impressions' | 'expected') =>
      queries.reduce((total, query) => total + query[of], 0);
    const [clicks, expected] = [sum('clicks'), sum('expected')];
    return { path, clicks, impressions: sum('impressions'), expected, missing: expected - clicks, queries };
  });
  const scatter = scatterOf(pages);
  const isClear = clearOnes(
    pages.map(({ missing, expected }) => missing / Math.sqrt(expected * scatter)),
    FALSE_SHARE,
  );
  return pages
    .filter(({ missing }, at) => isClear[at] && missing >= MIN_MISSING)
    .sort((a, b) => b.missing - a.missing || (a.path < b.path ? -1 : 1));
}

/**
 * How much more pages scatter about the curve than counting alone makes them: the median of their squared deviations over that of chi-squared
 * with one degree of freedom (0.4549), so that the few that stand out do not hide themselves. At least 1.
 */
function scatterOf(pages: readonly UnderCurve[]): number {
  const squares = pages
    .filter(({ expected }) => expected >= 1)
    .map(({ clicks, expected }) => (clicks - expected) ** 2 / expected)
    .sort((a, b) => a - b);
  if (squares.length < 3) return 1;
  const middle = squares.length / 2;
  const median =
    squares.length % 2 === 1 ? squares[Math.floor(middle)] : (squares[middle - 1] + squares[middle]) / 2;
  return Math.max(1, median / 0.4549);
}
