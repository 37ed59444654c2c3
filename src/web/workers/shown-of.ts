import { latestFiguresOf } from '../data/search-history.ts';

/** What the pages of a site were shown and opened for. */
export interface Shown {
  /** Impressions by query, by page. */
  shown: Map<string, Map<string, number>>;
  clicks: Map<string, number>;
  /** Whether there is any search performance. */
  hasFigures: boolean;
}

/** Search performance by page; `idAt` says which page stands at a path. */
export async function shownOf(siteId: string, idAt: ReadonlyMap<string, string>): Promise<Shown> {
  const shown: Shown['shown'] = new Map();
  const clicks: Shown['clicks'] = new Map();
  const performance = await latestFiguresOf(siteId);
  for (const row of performance?.rows ?? []) {
    const id = idAt.get(row.page);
    if (id === undefined) continue;
    const queries = shown.get(id) ?? new Map<string, number>();
    if (row.query) queries.set(row.query, (queries.get(row.query) ?? 0) + row.impressions);
    shown.set(id, queries);
    clicks.set(id, (clicks.get(id) ?? 0) + row.clicks);
  }
  return { shown, clicks, hasFigures: performance !== null };
}
