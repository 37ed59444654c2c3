import type { FigureSource, PerformanceRow } from '../../core/research/index.ts';
import { database } from './database.ts';

const CHUNK_ROWS = 5000;

/** A performance export as it is kept: the latest one of a site. */
export interface Performance {
  source: FigureSource;
  rows: PerformanceRow[];
}

/** The performance export of a site; null where none was read. */
export async function readPerformanceRows(siteId: string): Promise<Performance | null> {
  const chunks = await database().performance.where('siteId').equals(siteId).toArray();
  if (chunks.length === 0) return null;
  chunks.sort((a, b) => a.chunk - b.chunk);
  return { source: chunks[0].source, rows: chunks.flatMap(({ rows }) => rows) };
}

/** Keeps a performance export in place of the one before; null takes it out. All or nothing. */
export async function writePerformanceRows(siteId: string, next: Performance | null): Promise<void> {
  const { performance } = database();
  await database().transaction('rw', performance, async () => {
    await performance.where('siteId').equals(siteId).delete();
    if (!next) return;
    const chunks = Math.max(1, Math.ceil(next.rows.length / CHUNK_ROWS));
    await performance.bulkPut(
      Array.from({ length: chunks }, (_, chunk) => ({
        siteId,
        chunk,
        source: next.source,
        rows: next.rows.slice(chunk * CHUNK_ROWS, (chunk + 1) * CHUNK_ROWS),
      })),
    );
  });
}
