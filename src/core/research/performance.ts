import type { BadRow, ColumnMapping, TablePreview } from './keyword-csv.ts';
import { previewTable, tableBatches } from './keyword-csv.ts';
import { type DayOrder, type DaySpan, dayOrderOf, readDays } from './read-day.ts';
import { readFigure, readSmallFigure } from './read-figure.ts';

/** How a page of the site did for a query over the time of an export. */
export interface PerformanceRow {
  query: string;
  /** Address of the page that was shown. */
  page: string;
  clicks: number;
  impressions: number;
  /** Mean rank, from 1. */
  position: number;
}

/** How a page did for a query over some days. An empty query: the page for all that it was shown for. */
export interface DatedRow extends PerformanceRow, DaySpan {}

export const PERFORMANCE_COLUMNS = ['query', 'page', 'clicks', 'impressions', 'position', 'date'] as const;
export type PerformanceColumn = (typeof PERFORMANCE_COLUMNS)[number];

const NAMES: Record<PerformanceColumn, RegExp> = {
  query: /^(?:(?:top )?quer(?:y|ies)|search terms?|key ?words?|phrases?)$/,
  page: /^(?:(?:top |landing )?pages?|urls?|address(?:es)?|landing page)$/,
  clicks: /^clicks?$/,
  impressions: /^(?:impressions?|views|shown)$/,
  position: /^(?:(?:avg\.? |average |mean )?(?:position|rank))$/,
  date: /^(?:dates?|days?|months?)$/,
};

/** Guesses the columns of a performance export from their names. */
export function guessPerformanceColumns(header: readonly string[]): ColumnMapping {
  const mapping: Record<string, number> = {};
  header.forEach((cell, at) => {
    const name = cell.trim().toLowerCase().replace(/[_-]+/g, ' ');
    for (const column of PERFORMANCE_COLUMNS) if (NAMES[column].test(name)) mapping[column] ??= at;
  });
  return mapping as ColumnMapping;
}

/** The beginning of a performance export. */
export const previewPerformance = (text: string): TablePreview => previewTable(text, guessPerformanceColumns);

/** True for a table with a query or a page, and how it was shown. */
export function looksLikePerformance(text: string): boolean {
  const { mapping } = previewPerformance(text.slice(0, 20_000)) as {
    mapping: Partial<Record<string, number>>;
  };
  return (
    (mapping['query'] !== undefined || mapping['page'] !== undefined) &&
    mapping['impressions'] !== undefined &&
    mapping['position'] !== undefined
  );
}

export interface PerformanceReading {
  rows: DatedRow[];
  bad: BadRow[];
}

/** What is known of an export beside its rows. */
export interface ExportFacts {
  /** Days that rows without a date are of. */
  period: DaySpan;
  /** How its days are written. */
  order: DayOrder;
}

/** The exact day does not matter where nobody asks for it. */
const NO_FACTS: ExportFacts = { period: { from: '', to: '' }, order: 'day-first' };

/**
 * Takes rows of a performance export one by one. Several rows of one query, page and day are added up: exports by country or
 * device give several.
 */
export class PerformanceRows {
  readonly bad: BadRow[] = [];
  /** Cells that could not be read; their rows were taken without them. */
  readonly cells: BadRow[] = [];
  private readonly byKey = new Map<string, DatedRow>();

  constructor(
    private readonly mapping: Partial<Record<PerformanceColumn, number>>,
    private readonly facts: ExportFacts = NO_FACTS,
  ) {}

  take(cells: readonly string[], line: number): void {
    if (cells.every((cell) => cell.trim() === '')) return;
    const cell = (column: PerformanceColumn) => {
      const at = this.mapping[column];
      return at === undefined ? '' : (cells[at] ?? '').trim();
    };
    const query = cell('query').replace(/\s+/g, ' ');
    if (!query && this.mapping.query !== undefined) {
      this.bad.push({ line, reason: 'no query stands in it' });
      return;
    }
    if (!query && !cell('page')) {
      this.bad.push({ line, reason: 'no page stands in it' });
      return;
    }
    const [clicks, impressions] = (['clicks', 'impressions'] as const).map((column) =>
      readFigure(cell(column)),
    );
    const position = readSmallFigure(cell('position'));
    if (impressions === null || Number.isNaN(impressions) || impressions < 0) {
      this.bad.push({ line, reason: `"${cell('impressions')}" is no number of impressions` });
      return;
    }
    if (position === null || !(position >= 1)) {
      this.bad.push({ line, reason: `"${cell('position')}" is no position from 1` });
      return;
    }
    const days =
      this.mapping.date === undefined ? this.facts.period : readDays(cell('date'), this.facts.order);
    if (!days) {
      this.bad.push({ line, reason: `"${cell('date')}" is no day such as 2026-11-03` });
      return;
    }
    if (clicks !== null && !(clicks >= 0))
      this.cells.push({ line, reason: `"${cell('clicks')}" is no number of clicks` });
    this.add({
      query,
      page: cell('page'),
      clicks: clicks !== null && clicks > 0 ? clicks : 0,
      impressions,
      position,
      from: days.from,
      to: days.to,
    });
  }

  private add(row: DatedRow): void {
    const key = `${row.query.toLowerCase()}\n${row.page}\n${row.from}\n${row.to}`;
    const known = this.byKey.get(key);
    if (!known) {
      this.byKey.set(key, row);
      return;
    }
    const shown = known.impressions + row.impressions;
    // The mean rank of both, each by how often it was seen.
    known.position =
      shown === 0
        ? known.position
        : (known.position * known.impressions + row.position * row.impressions) / shown;
    known.impressions = shown;
    known.clicks += row.clicks;
  }

  get rows(): DatedRow[] {
    return [...this.byKey.values()];
  }
}

function* cellsOf(text: string, delimiter: string, column: number): Generator<string> {
  for (const batch of tableBatches(text, delimiter, 1000))
    for (const row of batch.rows) yield row[column] ?? '';
}

/** In which order the days of a performance export are written; `usual` where its figures do not tell. */
export function dayOrderOfTable(
  text: string,
  delimiter: string,
  { date }: Partial<Record<PerformanceColumn, number>>,
  usual: DayOrder = 'day-first',
): DayOrder {
  return date === undefined ? usual : dayOrderOf(cellsOf(text, delimiter, date), usual);
}

/** Reads a performance export with columns as given; `period` are the days that rows without a date are of. */
export function readPerformance(
  text: string,
  { mapping, header, delimiter }: Pick<TablePreview, 'mapping' | 'header' | 'delimiter'>,
  period: DaySpan = NO_FACTS.period,
): PerformanceReading {
  const columns = mapping as Partial<Record<PerformanceColumn, number>>;
  const rows = new PerformanceRows(columns, { period, order: dayOrderOfTable(text, delimiter, columns) });
  for (const batch of tableBatches(text, delimiter))
    batch.rows.forEach((cells, at) => {
      if (batch.lines[at] > 1 || !header) rows.take(cells, batch.lines[at]);
    });
  return { rows: rows.rows, bad: rows.bad };
}
