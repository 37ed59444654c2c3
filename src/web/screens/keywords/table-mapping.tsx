import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { assumedPeriod } from '../../../core/performance/index.ts';
import {
  type ColumnMapping,
  type DaySpan,
  KEYWORD_COLUMNS,
  MONTH_NAMES,
  PERFORMANCE_COLUMNS,
  periodInName,
  type TablePreview,
} from '../../../core/research/index.ts';
import { dayIn } from '../../../core/site/index.ts';
import { attempt, failureInWords } from '../../state/attempt.ts';
import { offerUndo } from '../../state/undo.ts';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Field } from '../../ui/field.tsx';
import { counted } from '../../ui/figures.ts';
import { useZone } from '../../ui/zone.ts';
import type { ImportResult } from '../../workers/keyword-imports.ts';
import { longCall } from '../../workers/long-call.ts';
import { progressTo, researchWorker } from '../../workers/research-client.ts';

const COLUMN_NAMES: Record<string, string> = {
  phrase: 'Phrase',
  region: 'Region',
  volume: 'Volume',
  difficulty: 'Difficulty',
  intent: 'Intent',
  source: 'Figures from',
  date: 'Day',
  months: 'Twelve months in one cell',
  query: 'Query',
  page: 'Page',
  clicks: 'Clicks',
  impressions: 'Impressions',
  position: 'Position',
};
/** A table that was chosen, as far as it must be seen to say what its columns hold. */
export interface ChosenTable {
  name: string;
  text: string;
  kind: 'keywords' | 'performance';
  preview: TablePreview;
}

/** The mapping step: what each column holds, and then the reading with its progress. */
export function TableMapping({
  siteId,
  region,
  table,
  onCancel,
  onResult,
  onProblem,
}: {
  siteId: string;
  region: string;
  table: ChosenTable;
  onCancel: () => void;
  onResult: (result: ImportResult) => void;
  onProblem: (problem: string) => void;
}) {
  const zone = useZone();
  const { preview, kind } = table;
  const [mapping, setMapping] = useState<ColumnMapping>(preview.mapping);
  const [headed, setHeaded] = useState(preview.header !== null);
  const [place, setPlace] = useState(region);
  const [date, setDate] = useState(dayIn(zone, new Date()));
  const [period, setPeriod] = useState<DaySpan>(
    () => periodInName(table.name) ?? assumedPeriod(dayIn(zone, new Date())),
  );
  const [done, setDone] = useState<number | null>(null);
  const rows =
    headed && preview.header ? preview.rows : [...(preview.header ? [preview.header] : []), ...preview.rows];
  const width = Math.max(...[preview.header ?? [], ...preview.rows].map((row) => row.length));
  const wanted: string[] =
    kind === 'performance'
      ? [...PERFORMANCE_COLUMNS]
      : [...KEYWORD_COLUMNS, ...MONTH_NAMES.map((_, at) => `month-${at}`)];
  const holds = (column: number) =>
    wanted.find((name) => mapping[name as keyof ColumnMapping] === column) ?? '';
  const assign = (column: number, name: string) => {
    const next = Object.fromEntries(
      Object.entries(mapping).filter(([other, at]) => at !== column && other !== name),
    );
    setMapping(name ? { ...next, [name]: column } : next);
  };
  const missing = (kind === 'performance' ? ['page', 'impressions', 'position'] : ['phrase']).filter(
    (name) => mapping[name as keyof ColumnMapping] === undefined,
  );
  const isUndated = kind === 'performance' && mapping['date' as keyof ColumnMapping] === undefined;
  const isOrdered = !isUndated || period.from <= period.to;
  const fine = missing.length === 0 && isOrdered && /^[A-Z]{2}$/.test(place);
  const stopping = useRef<AbortController | null>(null);
  // Whoever leaves the table no longer asks for what is in it.
  useEffect(() => () => stopping.current?.abort(), []);
  const read = async () => {
    setDone(0);
    const reading = {
      delimiter: preview.delimiter,
      headed,
      mapping,
      region: place,
      source: { name: table.name, date },
    };
    const stop = new AbortController();
    stopping.current = stop;
    try {
      const worker = await researchWorker();
      let token = '';
      const result = await longCall(worker, 'writes', stop.signal, (job) => {
        token = job;
        return kind === 'performance'
          ? worker.importPerformance(siteId, table.text, { ...reading, period }, job, progressTo(setDone))
          : worker.importTable(siteId, table.text, reading, job, progressTo(setDone));
      });
      if (kind === 'performance')
        offerUndo(
          `${counted(result.taken, 'row')} read: ${counted(result.fresh, 'new one')}, ${result.merged} known already.`,
          () => worker.undoPerformance(token),
          15_000,
        );
      else
        offerUndo(
          `${counted(result.fresh, 'phrase')} added, ${counted(result.merged, 'phrase')} brought up to date.`,
          () => worker.undoImport(siteId, token),
          15_000,
        );
      onResult(result);
    } catch (error) {
      if (stop.signal.aborted) toast('The import was stopped. Nothing was taken.');
      else onProblem(failureInWords(error));
      setDone(null);
    }
  };
  if (done !== null)
    return (
      <div role="status" className="max-w-md py-6">
        <p className="mb-2">
          Reading {table.name}: {Math.round(done * 100)} %.
        </p>
        <div className="mb-3 h-2 rounded bg-sand">
          <div className="h-2 rounded bg-marram" style={{ width: `${done * 100}%` }} />
        </div>
        <Button onClick={() => stopping.current?.abort()}>Stop</Button>
      </div>
    );
  return (
    <div>
      <p className="mb-3 text-soft">
        {table.name}: {kind === 'performance' ? 'a search performance export' : 'a table of keywords'}. Say
        what each column holds; columns without a name are left out.
      </p>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <CheckField
          checked={headed}
          onChange={(checked) => setHeaded(checked)}
          className="flex items-center gap-2"
        >
          The first line names the columns
        </CheckField>
        {kind === 'keywords' && (
          <div className="w-28">
            <Field label="Region">
              {(id) => (
                <input
                  id={id}
                  value={place}
                  maxLength={2}
                  onChange={(event) => setPlace(event.target.value.toUpperCase())}
                  className="w-full rounded-md border px-2.5 py-1.5"
                />
              )}
            </Field>
          </div>
        )}
        {isUndated &&
          (['from', 'to'] as const).map((end) => (
            <div key={end} className="w-40">
              <Field label={end === 'from' ? 'First day' : 'Last day'}>
                {(id) => (
                  <input
                    id={id}
                    type="date"
                    value={period[end]}
                    onChange={(event) =>
                      event.target.value && setPeriod({ ...period, [end]: event.target.value })
                    }
                    className="w-full rounded-md border px-2.5 py-1.5"
                  />
                )}
              </Field>
            </div>
          ))}
        <div className="w-40">
          <Field label={kind === 'performance' ? 'Exported on' : 'Figures are from'}>
            {(id) => (
              <input
                id={id}
                type="date"
                value={date}
                onChange={(event) => setDate(event.target.value || dayIn(zone, new Date()))}
                className="w-full rounded-md border px-2.5 py-1.5"
              />
            )}
          </Field>
        </div>
      </div>
      <div className="overflow-auto rounded-md border bg-sheet">
        <table className="w-full text-[13px]" aria-label="Preview">
          <thead>
            <tr>
              {Array.from({ length: width }, (_, column) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: columns are progressTo apart by their place alone.
                <th key={column} className="border-b p-1.5 text-left align-bottom font-normal">
                  <span className="block max-w-48 truncate text-soft">
                    {preview.header?.[column] ?? `Column ${column + 1}`}
                  </span>
                  <Choice<string>
                    aria-label={`What column ${column + 1} holds`}
                    value={holds(column)}
                    onChange={(name) => assign(column, name)}
                    className={`mt-1 px-1.5 py-1 ${holds(column) ? 'font-semibold' : ''}`}
                    options={[
                      { value: '', name: 'left out' },
                      ...wanted.map((value) => ({
                        value,
                        name: COLUMN_NAMES[value] ?? `Searches in ${MONTH_NAMES[Number(value.slice(6))]}`,
                      })),
                    ]}
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, 6).map((row, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: lines of a preview do not move.
              <tr key={at} className="border-t">
                {Array.from({ length: width }, (_, column) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: as above.
                  <td key={column} className={`max-w-64 truncate p-1.5 ${holds(column) ? '' : 'text-soft'}`}>
                    {row[column] ?? ''}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {missing.length > 0 && (
        <p role="alert" className="mt-2 text-ochre">
          Still to name: {missing.map((name) => COLUMN_NAMES[name]).join(', ')}.
        </p>
      )}
      {isUndated && (
        <p className="mt-2 text-[13px] text-soft">
          No column tells a day: all rows are taken for figures of the whole period above. An export by day
          tells what a change did.
        </p>
      )}
      {!isOrdered && (
        <p role="alert" className="mt-2 text-rust">
          The last day lies before the first.
        </p>
      )}
      {kind === 'keywords' && !/^[A-Z]{2}$/.test(place) && (
        <p role="alert" className="mt-2 text-rust">
          "{place}" is no region; write two letters such as GB.
        </p>
      )}
      <div className="mt-4 flex gap-3">
        <Button look="main" onClick={() => attempt(read())} disabled={!fine}>
          Read the table
        </Button>
        <Button onClick={onCancel}>Choose another file</Button>
      </div>
    </div>
  );
}
