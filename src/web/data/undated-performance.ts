import { partId, partOfUndated } from '../../core/performance/index.ts';
import type { SearchFigureRow, UndatedPerformanceRow } from './research-rows.ts';

/** The exports that were kept one a site without their days, as search figures of the days that are assumed. */
export function figureRowsOfUndated(rows: readonly UndatedPerformanceRow[]): SearchFigureRow[] {
  const bySite = new Map<string, UndatedPerformanceRow[]>();
  for (const row of rows) bySite.set(row.siteId, [...(bySite.get(row.siteId) ?? []), row]);
  return [...bySite].map(([siteId, chunks]) => {
    chunks.sort((a, b) => a.chunk - b.chunk);
    const { source } = chunks[0];
    const part = partOfUndated(
      chunks.flatMap((chunk) => chunk.rows),
      source,
    );
    return { siteId, id: partId(part), part, changed: `${source.date}T00:00:00.000Z` };
  });
}
