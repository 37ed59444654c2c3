import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { decodeText } from '../../../core/draft/index.ts';
import {
  type ColumnMapping,
  KEYWORD_COLUMNS,
  looksLikePerformance,
  MONTH_NAMES,
  PERFORMANCE_COLUMNS,
  previewPerformance,
  previewTable,
  readPhraseList,
  type TablePreview,
} from '../../../core/research/index.ts';
import { storageProblem } from '../../data/storage.ts';
import { Button } from '../../ui/button.tsx';
import { Field, TextField } from '../../ui/field.tsx';
import { many } from '../../ui/figures.ts';
import type { ImportResult } from '../../workers/research.ts';
import { researchWorker, told } from '../../workers/research-client.ts';

const COLUMN_NAMES: Record<string, string> = {
  phrase: 'Phrase',
  region: 'Region',
  volume: 'Volume',
  difficulty: 'Difficulty',
  intent: 'Intent',
  source: 'Figures from',
  date: 'Date of the figures',
  months: 'Twelve months in one cell',
  query: 'Query',
  page: 'Page',
  clicks: 'Clicks',
  impressions: 'Impressions',
  position: 'Position',
};
/** The longest text of a table that is read: some 300,000 rows and more. */
const MOST_BYTES = 120_000_000;

interface Table {
  name: string;
  text: string;
  kind: 'keywords' | 'performance';
  preview: TablePreview;
}

/** Reads what was chosen as far as it must be seen; a sentence where it is no table. */
async function tableOf(file: File): Promise<Table | string> {
  if (file.size > MOST_BYTES)
    return `${file.name} is too large: ${Math.round(file.size / 1e6)} MB. Part it into files of at most ${MOST_BYTES / 1e6} MB.`;
  try {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const { text } = decodeText(bytes, MOST_BYTES);
    if (!text.trim()) return `${file.name} is empty. Choose a file with phrases, one a line or in a column.`;
    const kind = looksLikePerformance(text) ? 'performance' : 'keywords';
    const head = text.slice(0, 200_000);
    return {
      name: file.name,
      text,
      kind,
      preview: kind === 'performance' ? previewPerformance(head) : previewTable(head),
    };
  } catch (error) {
    return `${file.name} ${(error as Error).message}`;
  }
}

const today = () => new Date().toISOString().slice(0, 10);

/** Figures from outside: a table with a mapping step, a list of phrases, or a performance export of the own site. */
export function BringFigures({
  siteId,
  region,
  onDone,
  onPerformance,
}: {
  siteId: string;
  region: string;
  onDone: () => void;
  onPerformance: () => void;
}) {
  const [table, setTable] = useState<Table | null>(null);
  const [problem, setProblem] = useState('');
  const [list, setList] = useState('');
  const [result, setResult] = useState<ImportResult | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const choose = async (file: File | undefined) => {
    if (!file) return;
    setResult(null);
    const read = await tableOf(file);
    if (typeof read === 'string') {
      setProblem(read);
      setTable(null);
      return;
    }
    setProblem('');
    setTable(read);
  };
  const addList = async () => {
    const phrases = readPhraseList(list);
    if (phrases.length === 0) return;
    try {
      const source = { name: 'Pasted list', date: today() };
      const worker = await researchWorker();
      const { fresh, merged } = await worker.add(
        siteId,
        phrases.map((phrase) => ({
          phrase,
          region,
          volume: null,
          months: null,
          givenDifficulty: null,
          found: null,
          setIntent: null,
          source,
        })),
      );
      toast(`${many(fresh, 'phrase')} added${merged ? `, ${merged} known already` : ''}.`);
      setList('');
      onDone();
    } catch (error) {
      setProblem(storageProblem(error));
    }
  };
  return (
    <section
      aria-label="Bring figures"
      className="min-h-0 flex-1 overflow-auto px-6 pb-8"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        void choose(event.dataTransfer.files[0]);
      }}
    >
      <div className="mb-3 flex items-center gap-3">
        <h2 className="font-serif text-xl font-semibold">Bring figures</h2>
        <Button look="word" onClick={onDone}>
          Back to the phrases
        </Button>
      </div>
      {problem && (
        <p role="alert" className="mb-3 text-rust">
          {problem}
        </p>
      )}
      {table ? (
        <Mapping
          key={table.name}
          siteId={siteId}
          region={region}
          table={table}
          onCancel={() => setTable(null)}
          onResult={(done) => {
            setTable(null);
            setResult(done);
            if (table.kind === 'performance' && !done.stopped) onPerformance();
          }}
          onProblem={setProblem}
        />
      ) : (
        <div className="grid max-w-4xl grid-cols-2 gap-8 max-[900px]:grid-cols-1">
          <div>
            <h3 className="mb-1 font-semibold">A table</h3>
            <p className="mb-3 text-soft">
              Keywords with volume, difficulty or months, or the search performance export of your own site.
              Any delimiter and encoding; you see and adjust the columns before anything is read. Drop the
              file here, or choose it.
            </p>
            <input
              ref={input}
              type="file"
              accept=".csv,.tsv,.txt,text/csv"
              className="sr-only"
              aria-label="File with figures"
              tabIndex={-1}
              onChange={(event) => {
                void choose(event.target.files?.[0]);
                event.target.value = '';
              }}
            />
            <Button look="main" onClick={() => input.current?.click()}>
              Choose a file
            </Button>
          </div>
          <div>
            <TextField
              label="A list of phrases"
              rows={6}
              value={list}
              onChange={setList}
              placeholder={'One a line, or parted by commas'}
              note="Without figures: a search brings those that are known."
            />
            <Button className="mt-2" onClick={() => void addList()} disabled={!list.trim()}>
              Add phrases
            </Button>
          </div>
        </div>
      )}
      {result && <Account result={result} />}
    </section>
  );
}

function Mapping({
  siteId,
  region,
  table,
  onCancel,
  onResult,
  onProblem,
}: {
  siteId: string;
  region: string;
  table: Table;
  onCancel: () => void;
  onResult: (result: ImportResult) => void;
  onProblem: (problem: string) => void;
}) {
  const { preview, kind } = table;
  const [mapping, setMapping] = useState<ColumnMapping>(preview.mapping);
  const [headed, setHeaded] = useState(preview.header !== null);
  const [place, setPlace] = useState(region);
  const [date, setDate] = useState(today());
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
  const missing = (kind === 'performance' ? ['query', 'page', 'impressions', 'position'] : ['phrase']).filter(
    (name) => mapping[name as keyof ColumnMapping] === undefined,
  );
  const fine = missing.length === 0 && /^[A-Z]{2}$/.test(place);
  const read = async () => {
    setDone(0);
    const worker = await researchWorker();
    const reading = {
      delimiter: preview.delimiter,
      headed,
      mapping,
      region: place,
      source: { name: table.name, date },
    };
    const token = crypto.randomUUID();
    try {
      const result =
        kind === 'performance'
          ? await worker.importPerformance(siteId, table.text, reading, told(setDone))
          : await worker.importTable(siteId, table.text, reading, token, told(setDone));
      if (result.stopped) {
        toast('The import was stopped. Nothing was taken.');
        setDone(null);
        return;
      }
      toast(
        kind === 'performance'
          ? `${many(result.taken, 'query row')} read.`
          : `${many(result.fresh, 'phrase')} added, ${many(result.merged, 'phrase')} brought up to date.`,
        kind === 'performance'
          ? {}
          : {
              duration: 15_000,
              action: { label: 'Undo', onClick: () => void worker.undoImport(siteId, token) },
            },
      );
      onResult(result);
    } catch (error) {
      onProblem(storageProblem(error));
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
        <Button onClick={() => void researchWorker().then((worker) => worker.stop())}>Stop</Button>
      </div>
    );
  return (
    <div>
      <p className="mb-3 text-soft">
        {table.name}: {kind === 'performance' ? 'a search performance export' : 'a table of keywords'}. Say
        what each column holds; columns without a name are left out.
      </p>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={headed}
            onChange={(event) => setHeaded(event.target.checked)}
            className="accent-marram"
          />
          The first line names the columns
        </label>
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
        <div className="w-40">
          <Field label="Figures are from">
            {(id) => (
              <input
                id={id}
                type="date"
                value={date}
                onChange={(event) => setDate(event.target.value || today())}
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
                // biome-ignore lint/suspicious/noArrayIndexKey: columns are told apart by their place alone.
                <th key={column} className="border-b p-1.5 text-left align-bottom font-normal">
                  <span className="block max-w-48 truncate text-soft">
                    {preview.header?.[column] ?? `Column ${column + 1}`}
                  </span>
                  <select
                    aria-label={`What column ${column + 1} holds`}
                    value={holds(column)}
                    onChange={(event) => assign(column, event.target.value)}
                    className={`mt-1 rounded-md border px-1.5 py-1 ${holds(column) ? 'font-semibold' : 'text-soft'}`}
                  >
                    <option value="">left out</option>
                    {wanted.map((name) => (
                      <option key={name} value={name}>
                        {COLUMN_NAMES[name] ?? `Searches in ${MONTH_NAMES[Number(name.slice(6))]}`}
                      </option>
                    ))}
                  </select>
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
      {kind === 'keywords' && !/^[A-Z]{2}$/.test(place) && (
        <p role="alert" className="mt-2 text-rust">
          "{place}" is no region; write two letters such as GB.
        </p>
      )}
      <div className="mt-4 flex gap-3">
        <Button look="main" onClick={() => void read()} disabled={!fine}>
          Read the table
        </Button>
        <Button onClick={onCancel}>Choose another file</Button>
      </div>
    </div>
  );
}

function Account({ result }: { result: ImportResult }) {
  return (
    <section aria-label="What was read" className="mt-6 max-w-3xl border-t pt-4">
      <h3 className="mb-1 font-semibold">
        {many(result.taken, 'row')} taken, {many(result.bad, 'row')} left out
      </h3>
      {result.bad > 0 && (
        <ul aria-label="Rows left out" className="max-h-60 overflow-auto text-[13px]">
          {result.examples.map(({ line, reason }) => (
            <li key={line} className="border-t py-1">
              Line {line.toLocaleString('en')}: {reason}.
            </li>
          ))}
          {result.bad > result.examples.length && (
            <li className="border-t py-1 text-soft">
              And {many(result.bad - result.examples.length, 'more row')} like these.
            </li>
          )}
        </ul>
      )}
    </section>
  );
}
