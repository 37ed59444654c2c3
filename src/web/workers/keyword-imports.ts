import {
  type BadRow,
  type ColumnMapping,
  type FigureSource,
  type Keyword,
  KeywordRows,
  type PerformanceColumn,
  PerformanceRows,
  phraseKey,
  tableBatches,
} from '../../core/research/index.ts';
import { readKeywords, writeKeywords } from '../data/keyword-chunks.ts';
import { writePerformanceRows } from '../data/performance-chunks.ts';
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
}

/** Told how far a long job is, 0-1. */
export type Tell = (done: number) => void;

/** Bad rows that are named one by one; the rest are counted. */
const MOST_NAMED = 100;
const BATCH = 5000;

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

  /** Reads a performance export in place of the one before. */
  async importPerformance(
    siteId: string,
    text: string,
    reading: TableReading,
    job: string,
    tell: Tell,
  ): Promise<ImportResult> {
    const rows = new PerformanceRows(reading.mapping as Partial<Record<PerformanceColumn, number>>);
    await takeRows(job, text, reading, rows, tell);
    const taken = rows.rows;
    await writePerformanceRows(siteId, { source: reading.source, rows: taken });
    tell(1);
    return {
      taken: taken.length,
      fresh: taken.length,
      merged: 0,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
      badCells: rows.cells.length,
      cellExamples: rows.cells.slice(0, MOST_NAMED),
    };
  },
};
