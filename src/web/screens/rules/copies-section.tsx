import { useCallback, useEffect, useState } from 'react';
import type { Restored, RestoreMode } from '../../data/backup.ts';
import type { KeptCopy } from '../../data/copies.ts';
import { database } from '../../data/database.ts';
import { type ServerCopy, serverCopies } from '../../services/server-copies.ts';
import { attempt } from '../../state/attempt.ts';
import {
  COPY_KEPT,
  chooseFolder,
  chosenFolder,
  keepCopyNow,
  mayWriteIn,
  restoreKeptCopy,
  restoreServerCopy,
} from '../../state/keep-copies.ts';
import { Button } from '../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../ui/day.ts';
import { None } from '../../ui/empty.tsx';
import { counted } from '../../ui/figures.ts';
import { useZone } from '../../ui/zone.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Copies that are shown at first; there may be thirty. */
const SHOWN = 6;

/** Lets the writer choose a folder; only some browsers can. */
const picker = (window as { showDirectoryPicker?: (options: object) => Promise<FileSystemDirectoryHandle> })
  .showDirectoryPicker;

/** Copies that are kept while there is work, and the ways back to each. */
export function CopiesSection({
  busy,
  restore,
}: {
  busy: boolean;
  /** Does a restore and says how it went. */
  restore: (work: () => Promise<Restored>, mode: RestoreMode, what: string) => Promise<void>;
}) {
  const zone = useZone();
  const [copies, setCopies] = useState<KeptCopy[] | null>(null);
  const [all, setAll] = useState(false);
  const [server, setServer] = useState<ServerCopy[] | null>(null);
  const look = useCallback(async () => {
    setCopies(await (await jobsWorker()).keptCopies());
    setServer(await serverCopies(database().name));
  }, []);
  useEffect(() => {
    const see = () => attempt(look(), 'The copies cannot be looked through');
    see();
    addEventListener(COPY_KEPT, see);
    return () => removeEventListener(COPY_KEPT, see);
  }, [look]);
  const shown = all ? copies : copies?.slice(0, SHOWN);
  const bring = (made: string, mode: RestoreMode) =>
    attempt(restore(() => restoreKeptCopy(made, mode), mode, 'The copy').then(look));
  return (
    <>
      <h3 className="mt-6 mb-1 font-semibold">Copies kept while you work</h3>
      <p className="mb-2 max-w-2xl text-soft">
        Every hour a copy of everything is kept in this browser, outside of its database: those of a day, then
        one a day for a week.
      </p>
      {copies?.length === 0 && <None>None yet: the first is kept within a minute of your first change.</None>}
      {shown && shown.length > 0 && (
        <ul aria-label="Kept copies" className="mb-2 max-w-2xl">
          {shown.map(({ made, posts }) => (
            <li key={made} className="flex flex-wrap items-baseline gap-x-4 border-b py-1">
              <span className="min-w-56 flex-1">
                {capital(dayInWords(made, zone))}, {timeInWords(made, zone)}: {counted(posts, 'post')}
              </span>
              <Button look="word" disabled={busy} onClick={() => bring(made, 'merge')}>
                Beside what is here
              </Button>
              <Button look="word" disabled={busy} onClick={() => bring(made, 'replace')}>
                In place of it
              </Button>
            </li>
          ))}
        </ul>
      )}
      {server && <ServerCopies copies={server} busy={busy} restore={restore} />}
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Button onClick={() => attempt(keepCopyNow(), 'A copy could not be kept')}>Keep a copy now</Button>
        {copies && copies.length > SHOWN && !all && (
          <Button look="word" onClick={() => setAll(true)}>
            Show all {copies.length}
          </Button>
        )}
        {picker && <CopiesFolder />}
      </div>
    </>
  );
}

/** Copies that lie with the server, on the disk that it was told: the last, and how many there are. */
function ServerCopies({
  copies,
  busy,
  restore,
}: {
  copies: readonly ServerCopy[];
  busy: boolean;
  restore: (work: () => Promise<Restored>, mode: RestoreMode, what: string) => Promise<void>;
}) {
  const zone = useZone();
  const [last] = copies;
  if (!last) return <p className="mb-3 text-soft">The server keeps them, too: none yet.</p>;
  const bring = (mode: RestoreMode) =>
    attempt(restore(() => restoreServerCopy(last.name, mode), mode, 'The copy'));
  return (
    <p className="mb-3 flex max-w-2xl flex-wrap items-baseline gap-x-4">
      <span className="min-w-56 flex-1">
        The server keeps {counted(copies.length, 'copy', 'copies')}, too; the last of{' '}
        {dayInWords(last.made, zone)}, {timeInWords(last.made, zone)}: {counted(last.posts, 'post')}
      </span>
      <Button look="word" disabled={busy} onClick={() => bring('merge')}>
        Beside what is here
      </Button>
      <Button look="word" disabled={busy} onClick={() => bring('replace')}>
        In place of it
      </Button>
    </p>
  );
}

/** A folder on this machine that a backup of each day goes into. */
function CopiesFolder() {
  const [folder, setFolder] = useState<FileSystemDirectoryHandle | null>(null);
  const [writable, setWritable] = useState(true);
  const look = useCallback(async () => {
    const chosen = await chosenFolder();
    setFolder(chosen);
    setWritable(chosen === null || (await mayWriteIn(chosen)));
  }, []);
  useEffect(() => attempt(look(), 'The folder of the copies cannot be seen'), [look]);
  const choose = async (chosen: FileSystemDirectoryHandle | null) => {
    await chooseFolder(chosen);
    if (chosen) await keepCopyNow();
    await look();
  };
  const pick = () => attempt((picker as NonNullable<typeof picker>)({ mode: 'readwrite' }).then(choose));
  if (!folder)
    return (
      <Button look="word" onClick={pick}>
        Keep a backup a day in a folder, too...
      </Button>
    );
  return (
    <p className="flex flex-wrap items-baseline gap-x-3">
      <span className={writable ? 'text-soft' : 'text-rust'}>
        {writable
          ? `A backup of each day goes into the folder “${folder.name}”, too.`
          : `The browser no longer lets it write into “${folder.name}”.`}
      </span>
      {!writable && (
        <Button look="word" onClick={() => attempt(mayWriteIn(folder, true).then(look))}>
          Let it write again
        </Button>
      )}
      <Button look="word" onClick={() => attempt(choose(null))}>
        No longer
      </Button>
    </p>
  );
}
