import { type HistoryRow, sumOfRows } from '../../../core/performance/index.ts';
import type { DaySpan } from '../../../core/research/index.ts';
import { daysInWords } from '../day.ts';
import { DialogFrame } from '../dialog-frame.tsx';
import { None } from '../empty.tsx';
import { counted, countInWords, rateInWords } from '../figures.ts';
import { DataGrid } from '../grid/data-grid.tsx';
import { Waiting } from '../waiting.tsx';
import { DAYS, FIGURES, heightOf, QUERY, ROW } from './row-columns.tsx';
import { useLoaded } from './use-loaded.ts';

/** Where the rows of a figure are, and of what they are. */
export interface RowsSource {
  /** The page, or the page and the query. */
  of: string;
  /** Days that are held against each other, the earlier first; or one window. */
  windows: readonly DaySpan[];
  /** The rows as they were brought, by window; rejects where they cannot be read. */
  load: () => Promise<HistoryRow[][]>;
}

const COLUMNS = [DAYS, QUERY, ...FIGURES];

/** What a phone has no room for: it follows from the other figures. */
const WIDE = 'max-[600px]:hidden';

/** The sums of rows by window: every figure that is told of them. */
function Sums({ windows, rows }: { windows: readonly DaySpan[]; rows: readonly HistoryRow[][] }) {
  return (
    <table aria-label="What the rows add up to" className="mb-3 w-full tabular-nums [&_td]:px-2 [&_th]:px-2">
      <thead>
        <tr className="text-right text-[13px] text-soft [&>th]:font-normal">
          <th className="text-left">Days</th>
          <th className={WIDE}>Rows</th>
          <th>Clicks</th>
          <th>Impressions</th>
          <th className={WIDE}>Click rate</th>
          <th>Position</th>
        </tr>
      </thead>
      <tbody>
        {windows.map(({ from, to }, at) => {
          const { clicks, impressions, position } = sumOfRows(rows[at]);
          return (
            <tr key={from} className="border-t text-right font-semibold">
              <th scope="row" className="text-left">
                {daysInWords(from, to)}
              </th>
              <td className={WIDE}>{countInWords(rows[at].length)}</td>
              <td>{countInWords(clicks)}</td>
              <td>{countInWords(impressions)}</td>
              <td className={WIDE}>{rateInWords(clicks, impressions)}</td>
              <td>{position?.toFixed(1) ?? '–'}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** The rows that a figure is made of, as they were brought, with their sums and how it comes of them. */
export function RowsDialog({
  title,
  way,
  source,
  onClose,
}: {
  title: string;
  way: string;
  source: RowsSource;
  onClose: () => void;
}) {
  const { loaded: rows, problem } = useLoaded(source.load);
  const all = rows?.flat() ?? [];
  return (
    <DialogFrame title={title} onClose={onClose}>
      {problem ? (
        <p role="alert" className="text-rust">
          The rows could not be read: {problem} Close this and open it again.
        </p>
      ) : rows === null ? (
        <Waiting className="h-60" />
      ) : (
        <>
          <p className="mb-2 break-words text-soft">
            {source.of}: {counted(all.length, 'row')} as brought. {way}
          </p>
          <Sums windows={source.windows} rows={rows} />
          <div className="flex min-h-0" style={{ height: `min(46vh, ${heightOf(all.length)}px)` }}>
            <DataGrid
              name="Rows of the figure"
              columns={COLUMNS}
              count={all.length}
              rowAt={(place) => all[place]}
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
