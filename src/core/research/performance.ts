import type { BadRow, ColumnMapping, TablePreview } from './keyword-csv.ts';
import { previewTable, tableBatches } from './keyword-csv.ts';
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

export const PERFORMANCE_COLUMNS = ['query', 'page', 'clicks', 'impressions', 'position'] as const;
export type PerformanceColumn = (typeof PERFORMANCE_COLUMNS)[number];

const NAMES: Record<PerformanceColumn, RegExp> = {
  query: /^(?:(?:top )?quer(?:y|ies)|search terms?|key ?words?|phrases?)$/,
  page: /^(?:(?:top |landing )?pages?|urls?|address(?:es)?|landing page)$/,
  clicks: /^clicks?$/,
  impressions: /^(?:impressions?|views|shown)$/,
  position: /^(?:(?:avg\.? |average |mean )?(?:position|rank))$/,
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

/** True for a table with a query and where it was shown. */
export function looksLikePerformance(text: string): boolean {
  const { mapping } = previewPerformance(text.slice(0, 20_000)) as {
    mapping: Partial<Record<string, number>>;
  };
  return (
    mapping['query'] !== undefined &&
    mapping['impressions'] !== undefined &&
    mapping['position'] !== undefined
  );
}

export interface PerformanceReading {
  rows: PerformanceRow[];
  bad: BadRow[];
}

/** Takes rows of a performance export one by one. Several rows of one query and page are added up. */
export class PerformanceRows {
  readonly bad: BadRow[] = [];
  /** Cells that could not be read; their rows were taken without them. */
  readonly cells: BadRow[] = [];
  private readonly byKey = new Map<string, PerformanceRow>();

  constructor(private readonly mapping: Partial<Record<PerformanceColumn, number>>) {}

  take(cells: readonly string[], line: number): void {
    if (cells.every((cell) => cell.trim() === '')) return;
    const cell = (column: PerformanceColumn) => {
      const at = this.mapping[column];
      return at === undefined ? '' : (cells[at] ?? '').trim();
    };
    const query = cell('query').replace(/\s+/g, ' ');
    if (!query) {
      this.bad.push({ line, reason: 'no query stands in it' });
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
    if (clicks !== null && !(clicks >= 0))
      this.cells.push({ line, reason: `"${cell('clicks')}" is no number of clicks` });
    const key = `${query.toLowerCase()}\n${cell('page')}`;
    const row = {
      query,
      page: cell('page'),
      clicks: clicks !== null && clicks > 0 ? clicks : 0,
      impressions,
      position,
    };
    const known = this.byKey.get(key);
    if (!known) {
      this.byKey.set(key, row);
      return;
    }
    const shown = known.impressions + impressions;
    // The mean rank of both, each by how often it was seen.
    known.position =
      shown === 0 ? known.position : (known.position * known.impressions + position * impressions) / shown;
    known.impressions = shown;
    known.clicks += row.clicks;
  }

  get rows(): PerformanceRow[] {
    return [...this.byKey.values()];
  }
}

/** Reads a performance export with columns as given. */
export function readPerformance(
  text: string,
  { mapping, header, delimiter }: Pick<TablePreview, 'mapping' | 'header' | 'delimiter'>,
): PerformanceReading {
  const rows = new PerformanceRows(mapping as Partial<Record<PerformanceColumn, number>>);
  for (const batch of tableBatches(text, delimiter))
    batch.rows.forEach((cells, at) => {
      if (batch.lines[at] > 1 || !header) rows.take(cells, batch.lines[at]);
    });
  return { rows: rows.rows, bad: rows.bad };
}
