import { useEffect, useState } from 'react';
import type { HistoryRow } from '../../../../core/performance/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { DialogFrame } from '../../../ui/dialog-frame.tsx';
import { None } from '../../../ui/empty.tsx';
import { counted, countInWords } from '../../../ui/figures.ts';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { researchWorker } from '../../../workers/research-client.ts';
import { days } from './performance-words.ts';

const ROW = 32;

/** Of what the rows are. */
export interface RowsWish {
  siteId: string;
  from: string;
  to: string;
  path: string;
  query: string | null;
}

const COLUMNS: GridColumn<HistoryRow>[] = [
  { id: 'days', name: 'Days', width: '150px', phone: '110px', cell: ({ from, to }) => days(from, to) },
  {
    id: 'query',
    name: 'Query',
    width: 'minmax(0,1fr)',
    phone: 'minmax(0,1fr)',
    className: 'truncate',
    cell: ({ query }) => query || <span className="text-soft">the page as a whole</span>,
  },
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

/** The rows that a figure is added up from, as they were brought, with their sums. */
function RowsDialog({ wish, title, onClose }: { wish: RowsWish; title: string; onClose: () => void }) {
  const [rows, setRows] = useState<HistoryRow[] | null>(null);
  const { siteId, from, to, path, query } = wish;
  useEffect(() => {
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.performanceRows(siteId, from, to, path, query))
        .then((found) => !late && setRows(found)),
    );
    return () => {
      late = true;
    };
  }, [siteId, from, to, path, query]);
  const sum = (of: 'clicks' | 'impressions') => (rows ?? []).reduce((total, row) => total + row[of], 0);
  return (
    <DialogFrame title={title} onClose={onClose}>
      {rows === null ? (
        <Waiting className="h-60" />
      ) : (
        <>
          <p className="mb-2 text-soft">
            {query === null ? path : `“${query}”, ${path}`}, {days(from, to)}: {counted(rows.length, 'row')}{' '}
            as brought, together {counted(sum('clicks'), 'click')} and{' '}
            {counted(sum('impressions'), 'impression')}.
          </p>
          <div className="flex h-[52vh] min-h-0">
            <DataGrid
              name="Rows of the figure"
              columns={COLUMNS}
              count={rows.length}
              rowAt={(place) => rows[place]}
              nameOf={(row) => `${row.query} ${row.from}`}
              rowHeight={ROW}
              none={<None>Nothing was shown in these days.</None>}
            />
          </div>
        </>
      )}
    </DialogFrame>
  );
}

/** A figure that opens to the rows that it is made of. */
export function FigureRows({ wish, title, children }: { wish: RowsWish; title: string; children: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        aria-label={`${title}: ${children}. Show its rows`}
        onClick={() => setOpen(true)}
        className="rounded tabular-nums underline decoration-soft/40 decoration-dotted underline-offset-4 hover:text-marram hover:decoration-marram"
      >
        {children}
      </button>
      {isOpen && <RowsDialog wish={wish} title={title} onClose={() => setOpen(false)} />}
    </>
  );
}
