import type { HistoryRow } from '../../../core/performance/index.ts';
import { daysInWords } from '../day.ts';
import { countInWords } from '../figures.ts';
import type { GridColumn } from '../grid/grid-column.ts';

/** Height of a row in a window that a figure opens. */
export const ROW = 32;
/** Height that a table of so many rows wants, with its heading; one without any has room to say so. */
export const heightOf = (rows: number): number => 60 + Math.max(2, rows) * ROW;

/** What was asked. */
export const QUERY: GridColumn<HistoryRow> = {
  id: 'query',
  name: 'Query',
  width: 'minmax(0,1fr)',
  phone: 'minmax(0,1fr)',
  className: 'truncate',
  cell: ({ query }) =>
    query ? <span title={query}>{query}</span> : <span className="text-soft">the page as a whole</span>,
};
/** Its page. */
export const PAGE: GridColumn<HistoryRow> = {
  id: 'page',
  name: 'Page',
  width: 'minmax(0,1fr)',
  className: 'truncate',
  cell: ({ path }) => <span title={path}>{path}</span>,
};
/** The day, or the days, that a row is of. */
export const DAYS: GridColumn<HistoryRow> = {
  id: 'days',
  name: 'Days',
  width: '150px',
  phone: '110px',
  cell: ({ from, to }) => daysInWords(from, to),
};
/** What search showed. */
export const FIGURES: GridColumn<HistoryRow>[] = [
  {
    id: 'clicks',
    name: 'Clicks',
    width: '70px',
    phone: '60px',
    right: true,
    cell: ({ clicks }) => countInWords(clicks),
  },
  {
    id: 'impressions',
    name: 'Impressions',
    width: '100px',
    right: true,
    cell: ({ impressions }) => countInWords(impressions),
  },
  {
    id: 'position',
    name: 'Position',
    width: '80px',
    right: true,
    cell: ({ position }) => position.toFixed(1),
  },
];
