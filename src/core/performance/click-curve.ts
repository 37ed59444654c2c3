import type { DatedRow } from '../research/index.ts';
import { clickShare } from '../research/index.ts';

/** Impressions of a rank that weigh as much as the house's curve for it. */
const PRIOR_IMPRESSIONS = 200;

/** A rank of the curve with what it was computed from. */
export interface CurveRank {
  /** From 1. */
  rank: number;
  /** Share of those who see a result at the rank and open it, 0-1. */
  share: number;
  clicks: number;
  impressions: number;
}

/**
 * Whether a query asks for the site itself: all words of its name stand in it, or the name of its address does. Whoever asks so opens the
 * first result far more often than others do.
 */
export function asksForSite(query: string, siteName: string, host: string): boolean {
  const words = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  const asked = words(query);
  const name = words(siteName);
  const bare = host
    .toLowerCase()
    .replace(/^www\./, '')
    .split('.')[0];
  if (name.length > 0 && name.every((word) => asked.includes(word))) return true;
  return bare.length > 3 && (asked.includes(bare) || asked.join('') === bare);
}

/** The rank of the curve that a mean rank counts at. */
export const rankOf = (position: number): number => Math.round(position);

/**
 * The share of clicks at each rank as the site's own figures show it: clicks over impressions of all rows at the rank, drawn towards
 * the house's curve where few are known, and never rising from one rank to the next (pool adjacent violators).
 *
 * @param house shares of ranks 1 on; the answer has as many
 */
export function ownCurve(
  rows: Iterable<Pick<DatedRow, 'position' | 'clicks' | 'impressions'>>,
  house: readonly number[],
): CurveRank[] {
  const counts = house.map((share, at): CurveRank => ({ rank: at + 1, share, clicks: 0, impressions: 0 }));
  for (const { position, clicks, impressions } of rows) {
    const own = counts[rankOf(position) - 1];
    if (!own) continue;
    own.clicks += clicks;
    own.impressions += impressions;
  }
  return falling(counts, house);
}

/** The curve of counts by rank, drawn towards the house's and never rising. */
function falling(counts: readonly CurveRank[], house: readonly number[]): CurveRank[] {
  const pools: { clicks: number; weight: number; ranks: number }[] = [];
  counts.forEach(({ clicks, impressions }, at) => {
    let pool = {
      clicks: clicks + house[at] * PRIOR_IMPRESSIONS,
      weight: impressions + PRIOR_IMPRESSIONS,
      ranks: 1,
    };
    for (
      let last = pools.at(-1);
      last && last.clicks / last.weight < pool.clicks / pool.weight;
      last = pools.at(-1)
    ) {
      pools.pop();
      pool = {
        clicks: pool.clicks + last.clicks,
        weight: pool.weight + last.weight,
        ranks: pool.ranks + last.ranks,
      };
    }
    pools.push(pool);
  });
  const shares = pools.flatMap(({ clicks, weight, ranks }) =>
    Array.from({ length: ranks }, () => Math.min(1, clicks / weight)),
  );
  return counts.map((count, at) => ({ ...count, share: shares[at] }));
}

/** A curve without the counts of some rows: what the other pages show. */
export function curveWithout(
  curve: readonly CurveRank[],
  rows: Iterable<Pick<DatedRow, 'position' | 'clicks' | 'impressions'>>,
  house: readonly number[],
): number[] {
  const counts = curve.map((rank) => ({ ...rank }));
  for (const { position, clicks, impressions } of rows) {
    const own = counts[rankOf(position) - 1];
    if (!own) continue;
    own.clicks = Math.max(0, own.clicks - clicks);
    own.impressions = Math.max(0, own.impressions - impressions);
  }
  return falling(counts, house).map(({ share }) => share);
}

/** The clicks that a row would have by a curve. */
export const expectedClicks = (
  { position, impressions }: Pick<DatedRow, 'position' | 'impressions'>,
  curve: readonly number[],
): number => impressions * clickShare(curve, position);
