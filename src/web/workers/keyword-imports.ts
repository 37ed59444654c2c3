import {
  type BadRow,
  type ColumnMapping,
  type DaySpan,
  dayOrderOfTable,
  type FigureSource,
  type Keyword,
  KeywordRows,
  type PerformanceColumn,
  PerformanceRows,
  phraseKey,
  tableBatches,
} from '../../core/research/index.ts';
import type { RowBack } from '../data/change-row.ts';
import { readKeywords, writeKeywords } from '../data/keyword-chunks.ts';
import { keepExport } from '../data/search-figures.ts';
import { counted } from '../ui/figures.ts';
import { stillWanted } from './called-off.ts';
import { forgetDesk, keepKeywords } from './site-desk.ts';

/** How a table's columns and figures are to be read. */
export interface TableReading {
  delimiter: string;
  /** Whether the first line names the columns. */
  headed: boolean;
  mapping: ColumnMapping;
  region: string;
  source: FigureSource;
}

/** How a performance export is to be read. */
export interface PerformanceReading extends TableReading {
  /** The days that rows without a date are of. */
  period: DaySpan;
}

/** What came of an import. */
export interface ImportResult {
  taken: number;
  fresh: number;
  merged: number;
  bad: number;
  /** The first of the bad rows. */
  examples: BadRow[];
  /** Cells that could not be read, while their rows were taken. */
  badCells: number;
  cellExamples: BadRow[];
  /** Periods that were kept and do not count: their days are known better from other figures. */
  notCounted?: DaySpan[];
}

/** Told how far a long job is, 0-1. */
export type Tell = (done: number) => void;

/** Bad rows that are named one by one; the rest are counted. */
const MOST_NAMED = 100;
const BATCH = 5000;

/** The way back of the performance exports that were read, by their jobs. */
const exportsBack = new Map<string, RowBack>();

/** The keywords that an import brought, as they were kept before and after it, by its job: those of the last one. */
const remembered = new Map<string, { before: Map<string, Keyword>; after: Map<string, Keyword> }>();

/** Gives every row of a table to be taken. Throws an `AbortError` where the job is called off. */
async function takeRows(
  job: string,
  text: string,
  { delimiter, headed }: TableReading,
  rows: { take(cells: readonly string[], line: number): void },
  tell: Tell,
): Promise<void> {
  for (const batch of tableBatches(text, delimiter, BATCH)) {
    batch.rows.forEach((cells, at) => {
      if (batch.lines[at] > 1 || !headed) rows.take(cells, batch.lines[at]);
    });
    tell(batch.read * 0.9);
    await stillWanted(job);
  }
}

const phraseIn = ({ region, phrase }: Keyword): string => `${region} ${phraseKey(phrase)}`;

/** Keywords as they lie in the database, by phrase and region; of those wanted. */
async function keptOf(siteId: string, wanted: ReadonlySet<string>): Promise<Map<string, Keyword>> {
  const { records } = await readKeywords(siteId);
  return new Map(
    records.flatMap((record) => (wanted.has(phraseIn(record)) ? [[phraseIn(record), record] as const] : [])),
  );
}
const isSame = (a: Keyword | undefined, b: Keyword | undefined): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/** Imports of tables into a site, and the way back. */
export const keywordImports = {
  /** Reads a table of keywords into the site. What was there before can be put back by the sign of the job. */
  async importTable(
    siteId: string,
    text: string,
    reading: TableReading,
    job: string,
    tell: Tell,
  ): Promise<ImportResult> {
    const rows = new KeywordRows(reading.mapping, reading);
    await takeRows(job, text, reading, rows, tell);
    const brought = new Set(rows.keywords.map(phraseIn));
    const before = await keptOf(siteId, brought);
    const { fresh, merged } = await keepKeywords(siteId, rows.keywords);
    remembered.clear();
    remembered.set(job, { before, after: await keptOf(siteId, brought) });
    tell(1);
    return {
      taken: rows.keywords.length,
      fresh,
      merged,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
      badCells: rows.cells.length,
      cellExamples: rows.cells.slice(0, MOST_NAMED),
    };
  },

  /**
   * Takes back what an import brought: phrases that it added go, those that it changed are as before. What was brought
   * or decided since stays. Answers in words what stays, empty where nothing does.
   */
  async undoImport(siteId: string, job: string): Promise<string> {
    const known = remembered.get(job);
    if (!known) return 'This import can no longer be taken back: a later one came after it.';
    const { records, stamp } = await readKeywords(siteId);
    let since = 0;
    const kept = records.flatMap((record) => {
      const key = phraseIn(record);
      const [was, became] = [known.before.get(key), known.after.get(key)];
      if (became === undefined || isSame(was, became)) return [record];
      if (isSame(record, became)) return was ? [was] : [];
      since += 1;
      return [record];
    });
    await writeKeywords(siteId, kept, null, stamp);
    remembered.delete(job);
    forgetDesk();
    return since === 0 ? '' : `${counted(since, 'phrase')} changed since and left so.`;
  },

  /** Reads a performance export into what is known of the site: nothing of it counts twice. It can be taken back by the sign of the job. */
  async importPerformance(
    siteId: string,
    text: string,
    reading: PerformanceReading,
    job: string,
    tell: Tell,
  ): Promise<ImportResult> {
    const mapping = reading.mapping as Partial<Record<PerformanceColumn, number>>;
    // Where days could be written either way, the site's country tells.
    const usual = reading.region === 'US' ? 'month-first' : 'day-first';
    const order = dayOrderOfTable(text, reading.delimiter, mapping, usual);
    const rows = new PerformanceRows(mapping, { period: reading.period, order });
    await takeRows(job, text, reading, rows, tell);
    const taken = rows.rows;
    const { count, notCounted, back } = await keepExport(
      siteId,
      taken,
      reading.source,
      new Date().toISOString(),
    );
    exportsBack.set(job, back);
    tell(1);
    return {
      taken: taken.length,
      fresh: count.fresh,
      notCounted,
      merged: count.changed + count.same,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
      badCells: rows.cells.length,
      cellExamples: rows.cells.slice(0, MOST_NAMED),
    };
  },

  /** Takes a performance export back; answers in words what stays, empty where nothing does. */
  async undoPerformance(job: string): Promise<string> {
    const back = exportsBack.get(job);
    if (!back) return 'This import can no longer be taken back.';
    const left = await back();
    exportsBack.delete(job);
    return left;
  },
};
