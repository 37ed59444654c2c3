import { comparablePath } from '../listing/index.ts';
import type { PerformanceRow } from '../research/index.ts';

/** What search shows of a page. */
export interface SearchFigures {
  clicks: number;
  impressions: number;
  /** The query with most impressions. */
  topQuery: string;
}

/** What search shows of each page of a site, by its path in comparable form. */
export function figuresByPath(
  rows: readonly Pick<PerformanceRow, 'page' | 'query' | 'clicks' | 'impressions'>[],
): Map<string, SearchFigures> {
  const found = new Map<string, SearchFigures>();
  const queries = new Map<string, Map<string, number>>();
  for (const { page, query, clicks, impressions } of rows) {
    const path = comparablePath(page);
    if (path === null) continue;
    const own = found.get(path) ?? { clicks: 0, impressions: 0, topQuery: '' };
    own.clicks += clicks;
    own.impressions += impressions;
    found.set(path, own);
    // What search keeps back has no query.
    if (query === '') continue;
    const asked = queries.get(path) ?? new Map<string, number>();
    asked.set(query, (asked.get(query) ?? 0) + impressions);
    queries.set(path, asked);
  }
  for (const [path, own] of found)
    own.topQuery =
      [...(queries.get(path) ?? [])].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? '';
  return found;
}
