import { useEffect, useRef, useState } from 'react';
import { addressesIn, type BroughtPage } from '../../../../core/formats/index.ts';
import { storageProblem } from '../../../data/storage.ts';
import { NetworkProblem } from '../../../services/network.ts';
import { readPageAt } from '../../../services/page-reads.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { chosenFiles, droppedFiles, type PathFile } from '../../../ui/dropped-files.ts';
import { TextField } from '../../../ui/field.tsx';
import { counted, countInWords } from '../../../ui/figures.ts';
import { FileButton } from '../../../ui/file-button.tsx';
import { studyWorker } from '../../../workers/study-client.ts';
import type { Brought } from './start-study.ts';

/** Pages that are read at the same time. */
const READERS = 4;
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

/** What became of pages that were read again, in words. */
function againInWords({ address, change }: Brought['again'][number]): string {
  if (change === null) return `${address} is as it was.`;
  const { wordsBefore, wordsNow, headingsIn, headingsOut } = change;
  const named = (headings: readonly string[]) => headings.map((heading) => `"${heading}"`).join(', ');
  return [
    `${address} has changed: ${countInWords(wordsBefore)} words before, ${countInWords(wordsNow)} now.`,
    headingsIn.length > 0 ? `New headings: ${named(headingsIn)}.` : '',
    headingsOut.length > 0 ? `Gone: ${named(headingsOut)}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Real pages in place of found ones: read at their addresses, saved files, zips, a list of addresses with its files, or pasted text. */
export function BringPages({
  onBring,
  onDone,
}: {
  /** Puts pages into the study; `read` says when each was read at its address. */
  onBring: (pages: BroughtPage[], read?: ReadonlyMap<string, string>) => Promise<Brought>;
  onDone: () => void;
}) {
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState('');
  const [lines, setLines] = useState<{ problem: boolean; text: string }[]>([]);
  const [text, setText] = useState('');
  const [address, setAddress] = useState('');
  const [addresses, setAddresses] = useState('');
  const [over, setOver] = useState(false);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const bring = async (
    pages: () => Promise<BroughtPage[]>,
    read?: Map<string, string>,
    /** Something is left in the fields: they stay open. */
    stays = false,
  ) => {
    setBusy('Reading...');
    setProblem('');
    setLines([]);
    try {
      const brought = await pages();
      const { added, again } = await onBring(brought, read);
      const broken = brought.filter((page) => page.problem);
      setLines([
        ...broken.map((page) => ({ problem: true, text: `${page.path}: ${page.problem}` })),
        ...again.map((each) => ({ problem: false, text: againInWords(each) })),
      ]);
      if (brought.length === 0)
        setProblem(
          read
            ? 'No page was read.'
            : 'There is no page among these files. HTML, Markdown, text, .docx and zips are read.',
        );
      else if (added + again.length + broken.length === 0)
        setProblem('These pages are in the study already.');
      else if (broken.length + again.length === 0 && !stays) onDone();
    } catch (error) {
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        setProblem(error instanceof NetworkProblem ? error.message : storageProblem(error));
    } finally {
      setBusy('');
    }
  };
  /** Twenty at a time, some at once; what was read when it is stopped is brought all the same. */
  const readAddresses = async () => {
    const { first, rest, none } = addressesIn(addresses);
    if (first.length === 0) {
      setProblem('There is no address among these lines. An address begins with https://');
      return;
    }
    const off = new AbortController();
    stop.current = off;
    const read = new Map<string, string>();
    await bring(
      async () => {
        const worker = await studyWorker();
        const pages: (BroughtPage | undefined)[] = first.map(() => undefined);
        let next = 0;
        let done = 0;
        const reader = async () => {
          while (next < first.length && !off.signal.aborted) {
            const at = next;
            next += 1;
            let answer: Parameters<typeof worker.pageOf>[0];
            try {
              const found = await readPageAt(first[at], off.signal);
              answer = found;
              if (!found.problem) read.set(found.found ?? found.address, found.at);
            } catch (error) {
              if (off.signal.aborted) return;
              if (!(error instanceof NetworkProblem) || done === 0) throw error;
              answer = { address: first[at], found: null, format: null, text: '', problem: error.message };
            }
            pages[at] = await worker.pageOf(answer);
            done += 1;
            setBusy(`Reading: ${done} of ${first.length}.`);
          }
        };
        setBusy(`Reading: 0 of ${first.length}.`);
        await Promise.all(Array.from({ length: Math.min(READERS, first.length) }, reader));
        // What was not come to, what failed, and what was typed meanwhile stays in the field.
        const gone = new Set(first.filter((_, at) => pages[at]?.problem === ''));
        setAddresses((typed) => {
          const now = addressesIn(typed);
          return [...[...now.first, ...now.rest].filter((each) => !gone.has(each)), ...now.none].join('\n');
        });
        return pages.filter((page): page is BroughtPage => page !== undefined);
      },
      read,
      none.length + rest.length > 0,
    );
    if (none.length > 0)
      setLines((before) => [
        ...before,
        ...none.map((line) => ({ problem: true, text: `"${line}" is no address: one begins with https://` })),
      ]);
    stop.current = null;
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
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-2 xl:grid-cols-3">
        <div>
          <TextField
            label="Addresses of pages"
            rows={4}
            value={addresses}
            onChange={setAddresses}
            placeholder={'https://\nOne a line, the first result first'}
          />
          <p className="mt-1 mb-2 text-[13px] text-soft">
            Read by the program on your machine, twenty at a time, where the host lets programs read.
          </p>
          <div className="flex gap-2">
            <Button
              look="main"
              disabled={busy !== '' || addresses.trim() === ''}
              onClick={() => attempt(readAddresses())}
            >
              Read these pages
            </Button>
            {busy.startsWith('Reading: ') && <Button onClick={() => stop.current?.abort()}>Stop</Button>}
          </div>
        </div>
        <div>
          <h3 className="mb-1 font-semibold">Saved pages</h3>
          <p className="mb-3 text-[13px] text-soft">
            Save each result page in your browser (as HTML), and drop the files here: one, many, or a zip. A
            list (.csv or .txt) with addresses and file names among them sets order and addresses.
          </p>
          <FileButton
            label="Pages to bring"
            multiple
            disabled={busy !== ''}
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
              disabled={busy !== '' || text.trim() === ''}
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
        {busy}
      </p>
      {lines.length > 0 && (
        <ul aria-label="What was read" className="text-[13px]">
          {lines.map(({ problem: isProblem, text: line }) => (
            <li key={line} className={isProblem ? 'text-rust' : ''}>
              {line}
            </li>
          ))}
        </ul>
      )}
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
