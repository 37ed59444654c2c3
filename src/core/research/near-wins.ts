import { matchingOf, PhraseMatcher, tokenize, Vocabulary } from '../language/index.ts';
import type { PerformanceRow } from './performance.ts';
import { fieldOf, meaningKey, meaningStems, tellingStems } from './phrase-meaning.ts';
import { phraseStems } from './phrase-stems.ts';
import type { ResearchRules } from './research-rules.ts';

/** A post or page of the site, as far as near wins look at it. */
export interface OwnPage {
  id: string;
  title: string;
  /** In comparable form. */
  path: string;
  keyword: string;
  supporting: readonly string[];
}

/** How a page stands to a query that it is shown for. */
export type Targeting = 'primary' | 'supporting' | 'title' | 'none';

/** A query that a page nearly wins. */
export interface NearWin {
  row: PerformanceRow;
  /** The post here that is shown; null: its page is not one. */
  page: OwnPage | null;
  targeting: Targeting;
  /** Another post that targets the query, while this page is shown; null: none. */
  meant: OwnPage | null;
  /** The rank that its page can reach. */
  reach: number;
  /** Clicks to win over the time of the export, at that rank. */
  gain: number;
}

const FROM = 4;
const TO = 20;

/** The share of clicks at a rank, between whole ranks in a straight line; 0 beyond the curve. */
export function clickShare(curve: readonly number[], position: number): number {
  const rank = Math.max(1, position);
  const below = Math.floor(rank);
  const [left, right] = [curve[below - 1] ?? 0, curve[below] ?? 0];
  return left + (right - left) * (rank - below);
}

/**
 * The rank that a page can reach from where it stands: half of its rank now, or two ranks better where that is more, and
 * no better than the rank that the house thinks an improved page reaches.
 */
export const reachableRank = (position: number, targetRank: number): number =>
  Math.max(1, position / 2, Math.min(targetRank, position - 2));

/**
 * Queries at ranks 4 to 20 with at least so many impressions, with what there is to win: impressions times the share of
 * clicks at the rank in reach ({@link reachableRank}), less the clicks that the page has. Whether a page targets a query is
 * told by what both mean. The greatest gain first. `pathOf` brings an address into comparable form (null: not this site's).
 */
export function nearWins(
  rows: readonly PerformanceRow[],
  pages: readonly OwnPage[],
  { clickCurve, targetRank }: Pick<ResearchRules, 'clickCurve' | 'targetRank'>,
  pathOf: (address: string) => string | null,
  leastImpressions = 10,
): NearWin[] {
  const byPath = new Map(pages.map((page) => [page.path, page]));
  const field = fieldOf(pages.flatMap(({ keyword, supporting }) => [keyword, ...supporting].filter(Boolean)));
  const keyOf = (phrase: string) => meaningKey(phrase, field);
  const targets = new Map<string, OwnPage>();
  for (const page of pages)
    if (page.keyword && !targets.has(keyOf(page.keyword))) targets.set(keyOf(page.keyword), page);
  const vocabulary = new Vocabulary();
  return rows
    .filter(
      ({ query, position, impressions }) =>
        query !== '' && position >= FROM && position <= TO && impressions >= leastImpressions,
    )
    .map((row): NearWin => {
      const path = pathOf(row.page);
      const page = path === null ? null : (byPath.get(path) ?? null);
      const better = reachableRank(row.position, targetRank);
      const gain = Math.max(0, row.impressions * clickShare(clickCurve, better) - row.clicks);
      const meant = targets.get(keyOf(row.query)) ?? null;
      return {
        row,
        page,
        reach: better,
        targeting: page ? targetingOf(row.query, page, vocabulary, keyOf) : 'none',
        meant: meant === page ? null : meant,
        gain,
      };
    })
    .sort((a, b) => b.gain - a.gain || (a.row.query < b.row.query ? -1 : 1));
}

function targetingOf(
  query: string,
  page: OwnPage,
  vocabulary: Vocabulary,
  keyOf: (phrase: string) => string,
): Targeting {
  const asked = keyOf(query);
  if (asked && page.keyword && keyOf(page.keyword) === asked) return 'primary';
  if (asked && page.supporting.some((phrase) => keyOf(phrase) === asked)) return 'supporting';
  if (phraseStems(query).length === 0) return 'none';
  const there = new Set(meaningStems(page.title));
  if (tellingStems(meaningStems(query)).every((stem) => there.has(stem))) return 'title';
  const matcher = new PhraseMatcher([query], vocabulary, matchingOf('en'));
  return matcher.match(page.title, tokenize(page.title, vocabulary)).length > 0 ? 'title' : 'none';
}
