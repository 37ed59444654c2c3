import Dexie from 'dexie';
import type { Restored, RestoreMode } from '../data/backup.ts';
import { database } from '../data/database.ts';
import { rememberHeld } from '../data/held-posts.ts';
import { storageKind } from '../data/storage.ts';
import { readVisits, writeNow } from '../data/visit-store.ts';
import { keepWithServer, serverCopies, serverCopy } from '../services/server-copies.ts';
import { jobsWorker } from '../workers/jobs-client.ts';
import { postsFound } from './lost-posts.ts';
import { store } from './store.ts';

/** Milliseconds between two looks whether a copy is due. */
const LOOK_EVERY = 60_000;
/** Milliseconds after a change until it is remembered that there are posts. */
const REMEMBERED_AFTER = 3000;
/** Milliseconds of work after which a copy is due. */
const DUE_AFTER = 3_600_000;

/** Event on the window: a copy was kept. */
export const COPY_KEPT = 'dune-sparrow-copy-kept';

const now = () => new Date().toISOString();

/** The folder that the writer chose for copies; null: none. */
export const chosenFolder = async (): Promise<FileSystemDirectoryHandle | null> =>
  (await readVisits('folders'))[0]?.folder ?? null;

/** Copies go into a folder from now on too; null: no longer. */
export const chooseFolder = (folder: FileSystemDirectoryHandle | null): Promise<boolean> =>
  writeNow('folders', 'copies', folder && { id: 'copies', folder });

/** What a chosen folder says of its permission; only some browsers have folders at all. */
interface AskedFolder extends FileSystemDirectoryHandle {
  queryPermission?(options: { mode: 'readwrite' }): Promise<PermissionState>;
  requestPermission?(options: { mode: 'readwrite' }): Promise<PermissionState>;
}

/** Whether a folder may be written in just now; with `ask`, the browser asks where it has to. */
export async function mayWriteIn(folder: AskedFolder, ask = false): Promise<boolean> {
  const options = { mode: 'readwrite' } as const;
  const state = (await folder.queryPermission?.(options)) ?? 'granted';
  if (state === 'granted' || !ask) return state === 'granted';
  return (await folder.requestPermission?.(options)) === 'granted';
}

/**
 * Keeps a copy now: in this browser, with the server where that keeps any, and in the folder that the writer chose. Each
 * by itself: a browser whose disk is full must not keep the others from theirs. Throws where one failed, after all were
 * tried.
 */
export async function keepCopyNow(): Promise<void> {
  const { name, posts } = database();
  const count = await posts.filter(({ deleted }) => deleted === '').count();
  const jobs = await jobsWorker();
  const made = now();
  const places: Promise<unknown>[] = [jobs.keepCopy(made)];
  const folder = await chosenFolder();
  const isWritable = folder !== null && (await mayWriteIn(folder));
  const hasServer = (await serverCopies(name)) !== null;
  // An empty database must not push out what was kept before.
  if (count > 0 && (isWritable || hasServer)) {
    const backup = jobs.writeBackup(made);
    if (isWritable)
      places.push(
        Promise.all([backup, import('../data/copies.ts')]).then(([{ file }, { writeIntoFolder }]) =>
          writeIntoFolder(folder, file, made),
        ),
      );
    if (hasServer)
      places.push(backup.then(({ file }) => keepWithServer({ database: name, made, posts: count }, file)));
  }
  const failed = (await Promise.allSettled(places)).find(({ status }) => status === 'rejected');
  dispatchEvent(new CustomEvent(COPY_KEPT));
  if (failed?.status === 'rejected') throw failed.reason;
}

/** Puts a kept copy in. */
export async function restoreKeptCopy(made: string, mode: RestoreMode): Promise<Restored> {
  const done = await (await jobsWorker()).restoreCopy(made, mode, now());
  store.dispatch(postsFound());
  return done;
}

/** Puts a copy in that lies with the server. */
export async function restoreServerCopy(name: string, mode: RestoreMode): Promise<Restored> {
  const file = await serverCopy(name);
  const done = await (await jobsWorker()).restoreBackup(file, mode, now());
  store.dispatch(postsFound());
  return done;
}

/**
 * While there is work, keeps a copy of everything every hour, outside of the database: in this browser's own file
 * system, with the server where that keeps any, and in a folder where the writer chose one. Whatever tab or worker writes counts; one tab of them keeps it.
 */
export function keepCopies(): void {
  if (storageKind() === 'memory') return;
  const start = `idb://${database().name}/`;
  let changed = false;
  let isPlanned = false;
  const rememberSoon = () => {
    if (isPlanned) return;
    isPlanned = true;
    setTimeout(() => {
      isPlanned = false;
      if (store.getState().lostPosts !== null) return;
      rememberHeld(now()).catch((error: unknown) =>
        console.error('What is held could not be remembered:', error),
      );
    }, REMEMBERED_AFTER);
  };
  Dexie.on('storagemutated', (parts: Record<string, unknown>) => {
    if (Object.keys(parts).some((part) => part.startsWith(start) && !part.startsWith(`${start}scores/`)))
      changed = true;
    if (changed) rememberSoon();
  });
  const look = async () => {
    if (!changed) return;
    await navigator.storage?.persist?.();
    const [newest] = await (await jobsWorker()).keptCopies();
    // A clock that was set back makes a copy due, not overdue for months.
    const age = newest ? Date.now() - Date.parse(newest.made) : Number.POSITIVE_INFINITY;
    if (age >= 0 && age < DUE_AFTER) return;
    changed = false;
    await keepCopyNow();
  };
  const alone = () =>
    navigator.locks
      ? navigator.locks.request(`copies ${database().name}`, { ifAvailable: true }, (lock) => lock && look())
      : look();
  setInterval(() => {
    // Nobody asked for it: it is tried again, and where copies stand is said under House rules.
    alone().catch((error: unknown) => console.error('A copy could not be kept:', error));
  }, LOOK_EVERY);
}
