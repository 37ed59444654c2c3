import { useState } from 'react';
import { countedSpans, rowsOfPart } from '../../../../core/performance/index.ts';
import { shiftDay } from '../../../../core/release/index.ts';
import type { SearchFigureRow } from '../../../data/research-rows.ts';
import { figureRowsOf, removeFigures, setPeriod } from '../../../data/search-figures.ts';
import { attempt } from '../../../state/attempt.ts';
import { offerUndo } from '../../../state/undo.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { daysInWords } from '../../../ui/day.ts';
import { Field } from '../../../ui/field.tsx';
import { FigureParts } from '../../../ui/figure/figure-parts.tsx';
import { DAYS, FIGURES, PAGE, QUERY } from '../../../ui/figure/row-columns.tsx';
import { counted } from '../../../ui/figures.ts';
import { Waiting } from '../../../ui/waiting.tsx';

const ROW_COLUMNS = [DAYS, PAGE, QUERY, ...FIGURES];

/** The days of a part that are known. */
function daysOf({ part: { grain, from, to, known } }: SearchFigureRow): string {
  if (grain === 'period' || known.length === 0) return daysInWords(from, to);
  return daysInWords(shiftDay(from, known[0]), shiftDay(from, known[known.length - 1]));
}

/** What was brought: each month known by day, each period, with the exports that it came from. */
export function BroughtTab({ siteId, onChange }: { siteId: string; onChange: () => void }) {
  const rows = useLiveQuery(() => figureRowsOf(siteId), [siteId]);
  if (!rows) return <Waiting className="h-40" />;
  const leftOut = new Set(countedSpans(rows.map(({ part }) => part)).leftOut);
  const remove = async (row: SearchFigureRow) => {
    const back = await removeFigures(siteId, [row.id]);
    onChange();
    offerUndo(`Search figures of ${daysOf(row)} taken out.`, async () => {
      const left = await back();
      onChange();
      return left;
    });
  };
  return (
    <ul aria-label="Figures brought" className="max-w-4xl">
      {rows.map((row, at) => (
        <li key={row.id} className="border-t py-2.5 first:border-t-0">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <p className="min-w-0 flex-1">
              <span className="font-semibold">{daysOf(row)}</span>
              <span className="text-soft">
                ,{' '}
                {row.part.grain === 'day'
                  ? `${counted(row.part.known.length, 'day')} one by one`
                  : 'as one period'}
                ,{' '}
                <FigureParts
                  title={`Rows of ${daysOf(row)}`}
                  way="As they were brought, each page, query and day once."
                  name="Rows brought"
                  columns={ROW_COLUMNS}
                  load={() =>
                    Promise.resolve([...rowsOfPart(row.part)].map((one) => ({ ...one, path: one.page })))
                  }
                  nameOf={({ query, page, from }) => `${query} ${page} ${from}`}
                >
                  {counted(row.part.page.length, 'row')}
                </FigureParts>
              </span>
            </p>
            <Button look="word" aria-label={`Take ${daysOf(row)} out`} onClick={() => attempt(remove(row))}>
              Take out
            </Button>
          </div>
          <p className="text-[13px] text-soft">
            {row.part.sources.map(({ name, date }) => `${name}, read ${daysInWords(date, date)}`).join('; ')}
          </p>
          {leftOut.has(at) && (
            <p className="text-[13px] text-ochre">
              Not counted: its days are known better from other figures, and none counts twice.
            </p>
          )}
          {row.part.isAssumed && <PeriodOf row={row} onChange={onChange} />}
        </li>
      ))}
    </ul>
  );
}

/** Asks of which days figures are that were brought without any. */
function PeriodOf({ row, onChange }: { row: SearchFigureRow; onChange: () => void }) {
  const [period, set] = useState({ from: row.part.from, to: row.part.to });
  const [problem, setProblem] = useState('');
  const keep = async () => {
    const kept = await setPeriod(row.siteId, row.id, period, new Date().toISOString());
    if (typeof kept === 'string') {
      setProblem(kept);
      return;
    }
    onChange();
    offerUndo(`These figures are of ${daysInWords(period.from, period.to)}.`, async () => {
      const left = await kept();
      onChange();
      return left;
    });
  };
  return (
    <div className="mt-1 flex flex-wrap items-end gap-3">
      <p className="text-[13px] text-ochre">
        It was not said of which days they are: three months are assumed.
      </p>
      {(['from', 'to'] as const).map((end) => (
        <div key={end} className="w-40">
          <Field label={end === 'from' ? 'First day' : 'Last day'}>
            {(id) => (
              <input
                id={id}
                type="date"
                value={period[end]}
                onChange={(event) => event.target.value && set({ ...period, [end]: event.target.value })}
                className="w-full rounded-md border px-2.5 py-1.5"
              />
            )}
          </Field>
        </div>
      ))}
      <Button disabled={period.from > period.to} onClick={() => attempt(keep())}>
        These are the days
      </Button>
      {problem && (
        <p role="alert" className="text-[13px] text-rust">
          {problem}
        </p>
      )}
    </div>
  );
}
