import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { decodeText } from '../../../core/draft/index.ts';
import {
  bareKeyword,
  looksLikePerformance,
  previewPerformance,
  previewTable,
  readPhraseList,
} from '../../../core/research/index.ts';
import { dayIn } from '../../../core/site/index.ts';
import { storageProblem } from '../../data/storage.ts';
import { attempt } from '../../state/attempt.ts';
import { Button } from '../../ui/button.tsx';
import { TextField } from '../../ui/field.tsx';
import { counted } from '../../ui/figures.ts';
import { FileButton } from '../../ui/file-button.tsx';
import { useZone } from '../../ui/zone.ts';
import type { ImportResult } from '../../workers/keyword-imports.ts';
import { researchWorker } from '../../workers/research-client.ts';
import { ImportAccount } from './import-account.tsx';
import { type ChosenTable, TableMapping } from './table-mapping.tsx';

/** The longest text of a table that is read: some 300,000 rows and more. */
const MOST_BYTES = 120_000_000;

/** Reads what was chosen as far as it must be seen; a sentence where it is no table. */
async function tableOf(file: File): Promise<ChosenTable | string> {
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

/** Figures from outside: a table with a mapping step, a list of phrases, or a performance export of the own site. */
export function BringFigures({
  siteId,
  region,
  onDone,
}: {
  siteId: string;
  region: string;
  onDone: () => void;
}) {
  const zone = useZone();
  const [table, setTable] = useState<ChosenTable | null>(null);
  const [problem, setProblem] = useState('');
  const [list, setList] = useState('');
  const [result, setResult] = useState<ImportResult | null>(null);
  const lastChosen = useRef<File | null>(null);
  const choose = async (file: File) => {
    setResult(null);
    lastChosen.current = file;
    const read = await tableOf(file);
    // A larger one that was chosen before is read later: the last one counts.
    if (lastChosen.current !== file) return;
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
      const source = { name: 'Pasted list', date: dayIn(zone, new Date()) };
      const worker = await researchWorker();
      const { fresh, merged } = await worker.add(
        siteId,
        phrases.map((phrase) => bareKeyword(phrase, region, source)),
      );
      toast(`${counted(fresh, 'phrase')} added${merged ? `, ${merged} known already` : ''}.`);
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
        attempt(choose(event.dataTransfer.files[0]));
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
        <TableMapping
          key={table.name}
          siteId={siteId}
          region={region}
          table={table}
          onCancel={() => setTable(null)}
          onResult={(done) => {
            setTable(null);
            setResult(done);
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
            <FileButton
              look="main"
              label="File with figures"
              accept=".csv,.tsv,.txt,text/csv"
              onFiles={([file]) => attempt(choose(file))}
            >
              Choose a file
            </FileButton>
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
            <Button className="mt-2" onClick={() => attempt(addList())} disabled={!list.trim()}>
              Add phrases
            </Button>
          </div>
        </div>
      )}
      {result && <ImportAccount result={result} />}
    </section>
  );
}
