import {
  countedSpans,
  type FigurePart,
  type MergeCount,
  partId,
  withExport,
  withPeriod,
} from '../../core/performance/index.ts';
import type { DatedRow, DaySpan, FigureSource } from '../../core/research/index.ts';
import type { RowBack } from './change-row.ts';
import { database } from './database.ts';
import type { SearchFigureRow } from './research-rows.ts';

/** Rows of search figures of a site, by their days. */
export async function figureRowsOf(siteId: string): Promise<SearchFigureRow[]> {
  const rows = await database().searchFigures.where('siteId').equals(siteId).toArray();
  return rows.sort((a, b) =>
    a.part.from < b.part.from ? -1 : a.part.from > b.part.from ? 1 : a.id < b.id ? -1 : 1,
  );
}

/** What stood at some keys before, and what was put there. */
interface Replaced {
  key: [string, string];
  before: SearchFigureRow | undefined;
  after: SearchFigureRow | undefined;
}

/** Takes replaced rows back, those that were changed since left as they are; answers in words what stays. */
const backOf =
  (replaced: readonly Replaced[]): RowBack =>
  async () => {
    const { searchFigures } = database();
    return database().transaction('rw', searchFigures, async () => {
      const now = await searchFigures.bulkGet(replaced.map(({ key }) => key));
      let left = 0;
      for (const [at, { key, before, after }] of replaced.entries()) {
        if (now[at]?.changed !== after?.changed) left += 1;
        else if (before) await searchFigures.put(before);
        else await searchFigures.delete(key);
      }
      return left === 0 ? '' : 'Figures of the same days were brought since; those stay.';
    });
  };

async function replace(
  siteId: string,
  change: (rows: SearchFigureRow[]) => { put: SearchFigureRow[]; gone: string[] },
): Promise<RowBack> {
  const { searchFigures } = database();
  const replaced = await database().transaction('rw', searchFigures, async () => {
    const rows = await figureRowsOf(siteId);
    const before = new Map(rows.map((row) => [row.id, row]));
    const { put, gone } = change(rows);
    const left = gone.filter((id) => !put.some((row) => row.id === id));
    await searchFigures.bulkDelete(left.map((id): [string, string] => [siteId, id]));
    await searchFigures.bulkPut(put);
    return [
      ...left.map((id) => ({ id, after: undefined })),
      ...put.map((row) => ({ id: row.id, after: row })),
    ].map(({ id, after }): Replaced => ({ key: [siteId, id], before: before.get(id), after }));
  });
  return backOf(replaced);
}

/** Keeps the rows of an export among those that are known, all or nothing; none is kept twice. Answers what became of them, the periods of it that do not count as their days are known better, and the way back. */
export async function keepExport(
  siteId: string,
  rows: readonly DatedRow[],
  source: FigureSource,
  now: string,
): Promise<{ count: MergeCount; notCounted: DaySpan[]; back: RowBack }> {
  let count: MergeCount = { fresh: 0, changed: 0, same: 0 };
  let notCounted: DaySpan[] = [];
  const back = await replace(siteId, (known) => {
    const merged = withExport(
      known.map(({ part }) => part),
      rows,
      source,
    );
    count = merged.count;
    notCounted = countedSpans(merged.parts)
      .leftOut.map((at) => merged.parts[at])
      .filter((part) => merged.touched.has(partId(part)))
      .map(({ from, to }) => ({ from, to }));
    return {
      put: merged.parts.filter((part) => merged.touched.has(partId(part))).map(rowOf(siteId, now)),
      gone: [],
    };
  });
  return { count, notCounted, back };
}

const rowOf =
  (siteId: string, now: string) =>
  (part: FigurePart): SearchFigureRow => ({ siteId, id: partId(part), part, changed: now });

/** Takes search figures of some days out; answers the way back. */
export const removeFigures = (siteId: string, ids: readonly string[]): Promise<RowBack> =>
  replace(siteId, (rows) => ({ put: [], gone: rows.flatMap(({ id }) => (ids.includes(id) ? [id] : [])) }));

/** Says of which days figures are that were brought without any; answers the way back, or in words why not. */
export async function setPeriod(
  siteId: string,
  id: string,
  period: DaySpan,
  now: string,
): Promise<RowBack | string> {
  let problem = '';
  const back = await replace(siteId, (rows) => {
    const row = rows.find((one) => one.id === id);
    if (!row) {
      problem = 'These figures are gone by now.';
      return { put: [], gone: [] };
    }
    const part = withPeriod(row.part, period);
    if (rows.some((one) => one.id === partId(part) && one.id !== id)) {
      problem = `Figures of ${period.from} to ${period.to} are known already.`;
      return { put: [], gone: [] };
    }
    return { put: [rowOf(siteId, now)(part)], gone: [id] };
  });
  return problem || back;
}
