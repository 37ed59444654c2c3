import { useState } from 'react';
import type { BroughtPage } from '../../../../core/formats/index.ts';
import { storageProblem } from '../../../data/storage.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { chosenFiles, droppedFiles, type PathFile } from '../../../ui/dropped-files.ts';
import { TextField } from '../../../ui/field.tsx';
import { counted } from '../../../ui/figures.ts';
import { FileButton } from '../../../ui/file-button.tsx';
import { studyWorker } from '../../../workers/study-client.ts';

/** Files beyond this are no pages. */
const MOST_BYTES = 100_000_000;

async function readAll(files: readonly PathFile[]): Promise<BroughtPage[]> {
  const worker = await studyWorker();
  const given = await Promise.all(
    files
      .filter(({ file }) => file.size <= MOST_BYTES)
      .map(async ({ path, file }) => ({ path, bytes: new Uint8Array(await file.arrayBuffer()) })),
  );
  return worker.readFiles(given);
}

/** Real pages in place of found ones: saved files, zips, a list of addresses with its files, or pasted text. */
export function BringPages({
  onBring,
  onDone,
}: {
  /** Puts pages into the study; answers how many were read. */
  onBring: (pages: BroughtPage[]) => Promise<number>;
  onDone: () => void;
}) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const [text, setText] = useState('');
  const [address, setAddress] = useState('');
  const [over, setOver] = useState(false);
  const bring = async (pages: () => Promise<BroughtPage[]>) => {
    setBusy(true);
    setProblem('');
    try {
      const brought = await pages();
      const read = await onBring(brought);
      const broken = brought.filter((page) => page.problem);
      if (brought.length === 0)
        setProblem('There is no page among these files. HTML, Markdown, text, .docx and zips are read.');
      else if (read === 0 && broken.length > 0) setProblem(broken.map((page) => page.problem).join(' '));
      else if (read === 0) setProblem('These pages are in the study already.');
      else onDone();
    } catch (error) {
      setProblem(storageProblem(error));
    } finally {
      setBusy(false);
    }
  };
  const files = (chosen: PathFile[]) => {
    const large = chosen.filter(({ file }) => file.size > MOST_BYTES);
    if (large.length > 0) setProblem(`${large[0].path} is too large to be a page.`);
    else if (chosen.length > 0) attempt(bring(() => readAll(chosen)));
  };
  return (
    <section
      aria-label="Bring pages"
      className={`rounded-md border border-dashed px-5 py-4 ${over ? 'border-marram bg-marram/5' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        setOver(false);
        attempt(droppedFiles(event.dataTransfer).then(files));
      }}
    >
      <div className="grid gap-x-10 gap-y-5 md:grid-cols-2">
        <div>
          <h3 className="mb-1 font-semibold">Saved pages</h3>
          <p className="mb-3 text-[13px] text-soft">
            Save each result page in your browser (as HTML), and drop the files here: one, many, or a zip. A
            list (.csv or .txt) with addresses and file names among them sets order and addresses.
          </p>
          <FileButton
            look="main"
            label="Pages to bring"
            multiple
            disabled={busy}
            onFiles={(chosen) => files(chosenFiles(chosen))}
          >
            Choose files
          </FileButton>
        </div>
        <div>
          <TextField
            label="Text of a page"
            rows={4}
            value={text}
            onChange={setText}
            placeholder="Title on the first line, then the text"
          />
          <div className="mt-2 flex items-end gap-2">
            <div className="min-w-0 flex-1">
              <TextField label="Its address" value={address} onChange={setAddress} placeholder="https://" />
            </div>
            <Button
              disabled={busy || text.trim() === ''}
              onClick={() =>
                attempt(
                  bring(async () => [pasted(text, address)]).then(() => {
                    setText('');
                    setAddress('');
                  }),
                )
              }
            >
              Add this page
            </Button>
          </div>
        </div>
      </div>
      <p role="status" className="mt-2 text-[13px] text-soft">
        {busy ? 'Reading...' : ''}
      </p>
      {problem && (
        <p role="alert" className="text-rust">
          {problem}
        </p>
      )}
    </section>
  );
}

/** A pasted text as a page: its first line is its title. */
function pasted(text: string, address: string): BroughtPage {
  const [first, ...rest] = text.trim().split('\n');
  const where = address.trim();
  const host = /^https?:\/\/([^/]+)/i.exec(where)?.[1] ?? '';
  const words = text.trim().split(/\s+/).length;
  return {
    path: first,
    address: where || `pasted: ${first.slice(0, 80)}`,
    publisher: host || 'pasted text',
    title: first.replace(/^#+\s*/, '').slice(0, 160),
    format: 'markdown',
    text: `# ${first.replace(/^#+\s*/, '')}\n\n${rest.join('\n')}`,
    problem: words < 20 ? `Only ${counted(words, 'word')}: paste the whole text of the page.` : '',
  };
}
