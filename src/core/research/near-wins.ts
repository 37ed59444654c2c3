import { keywordKeys, PhraseMatcher, tokenize, Vocabulary } from '../language/index.ts';
import type { PerformanceRow } from './performance.ts';
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
  /** Clicks to win over the time of the export, at the target rank. */
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

const isTarget = (query: string, keyword: string): boolean => {
  if (!keyword) return false;
  const [asked, filed] = [keywordKeys(query, true).asked, keywordKeys(keyword, true).filed];
  return asked.some((key) => filed.includes(key));
};

/**
 * Queries at ranks 4 to 20 with at least so many impressions, with what there is to win: impressions times the share of
 * clicks at the target rank (two ranks better where the page is as good already), less the clicks that the page has.
 * The greatest gain first. `pathOf` brings an address into comparable form (null: not this site's).
 */
export function nearWins(
  rows: readonly PerformanceRow[],
  pages: readonly OwnPage[],
  { clickCurve, targetRank }: Pick<ResearchRules, 'clickCurve' | 'targetRank'>,
  pathOf: (address: string) => string | null,
  leastImpressions = 10,
): NearWin[] {
  const byPath = new Map(pages.map((page) => [page.path, page]));
  const targets = new Map<string, OwnPage>();
  for (const page of pages)
    for (const key of page.keyword ? keywordKeys(page.keyword, true).filed : [])
      if (!targets.has(key)) targets.set(key, page);
  const vocabulary = new Vocabulary();
  return rows
    .filter(
      ({ position, impressions }) => position >= FROM && position <= TO && impressions >= leastImpressions,
    )
    .map((row): NearWin => {
      const path = pathOf(row.page);
      const page = path === null ? null : (byPath.get(path) ?? null);
      const better = Math.max(1, Math.min(targetRank, row.position - 2));
      const gain = Math.max(0, row.impressions * clickShare(clickCurve, better) - row.clicks);
      const meant =
        keywordKeys(row.query, true)
          .asked.map((key) => targets.get(key))
          .find((found) => found !== undefined) ?? null;
      return {
        row,
        page,
        targeting: page ? targetingOf(row.query, page, vocabulary) : 'none',
        meant: meant === page ? null : meant,
        gain,
      };
    })
    .sort((a, b) => b.gain - a.gain || (a.row.query < b.row.query ? -1 : 1));
}

function targetingOf(query: string, page: OwnPage, vocabulary: Vocabulary): Targeting {
  if (isTarget(query, page.keyword)) return 'primary';
  if (page.supporting.some((phrase) => isTarget(query, phrase))) return 'supporting';
  if (phraseStems(query).length === 0) return 'none';
  const matcher = new PhraseMatcher([query], vocabulary, true);
  return matcher.match(page.title, tokenize(page.title, vocabulary)).length > 0 ? 'title' : 'none';
}
