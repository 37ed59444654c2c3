import { readBackupFile, supersededCopies, writeBackupFile } from '../../core/formats/index.ts';
import { alone } from './alone.ts';
import { backupData, type Restored, type RestoreMode, restoreBackup } from './backup.ts';
import type { BackupTables } from './backup-tables.ts';
import { database } from './database.ts';
import { sha256 } from './digest.ts';
import type { ReplacedRows } from './replaced-rows.ts';

/** A copy of everything, kept beside the database in this browser's own folder. */
export interface KeptCopy {
  /** UTC instant. */
  made: string;
  posts: number;
  /** Its pictures, by their SHA-256: they lie beside the copies, once for all of them. */
  pictures: string[];
}

/** Days of which a chosen folder keeps a backup. */
const DAYS_IN_FOLDER = 7;
const PICTURES = 'pictures';
const OWN_NAME = /^dune-sparrow-\d{4}-\d{2}-\d{2}\.backup\.zip$/;

/** The folder of the database in hand within this browser's own file system; throws where the window has none. */
async function copiesFolder(): Promise<FileSystemDirectoryHandle> {
  const root = await navigator.storage.getDirectory();
  const all = await root.getDirectoryHandle('copies', { create: true });
  return all.getDirectoryHandle(database().name, { create: true });
}

/** A colon may stand in no file name everywhere. */
const fileName = (made: string) => made.replaceAll(':', '-');

/** Writes a file whole or not at all. */
async function put(folder: FileSystemDirectoryHandle, name: string, content: Blob | string): Promise<void> {
  const file = await (await folder.getFileHandle(name, { create: true })).createWritable();
  try {
    await file.write(content);
  } catch (error) {
    await file.abort();
    throw error;
  }
  await file.close();
}

const read = async (folder: FileSystemDirectoryHandle, name: string): Promise<File> =>
  (await folder.getFileHandle(name)).getFile();

async function namesIn(folder: FileSystemDirectoryHandle): Promise<string[]> {
  const names: string[] = [];
  for await (const name of folder.keys()) names.push(name);
  return names;
}

/** What the list beside a copy says; null where it is damaged: that one is none, the others are. */
async function readListed(folder: FileSystemDirectoryHandle, name: string): Promise<KeptCopy | null> {
  try {
    const copy: unknown = JSON.parse(await (await read(folder, name)).text());
    const { made, posts, pictures } = (copy ?? {}) as Partial<KeptCopy>;
    return typeof made === 'string' && typeof posts === 'number' && Array.isArray(pictures)
      ? { made, posts, pictures }
      : null;
  } catch (error) {
    console.error(`The copy ${name} cannot be read:`, error);
    return null;
  }
}

/** The copies that are kept, the newest first; none where the window has no folder. */
export async function keptCopies(): Promise<KeptCopy[]> {
  const copies: KeptCopy[] = [];
  try {
    const folder = await copiesFolder();
    const names = new Set(await namesIn(folder));
    for (const name of names) {
      // What was being written when the browser ended has no list beside it.
      if (!name.endsWith('.json') || !names.has(name.replace(/json$/, 'zip'))) continue;
      const copy = await readListed(folder, name);
      if (copy) copies.push(copy);
    }
  } catch (error) {
    console.error('Copies cannot be looked through:', error);
  }
  return copies.sort((a, b) => (a.made < b.made ? 1 : -1));
}

/**
 * Keeps a copy of everything beside the database; copies that time has made superfluous go, with pictures that no copy
 * names any more. Nothing is kept of a database without posts: it must not push out what was there before. Answers
 * whether one was kept. Throws what the storage says.
 */
export const keepCopy = (now: string): Promise<boolean> =>
  // Tidying must not take pictures that another tab has just put there for a copy of its own.
  alone(`keep a copy of ${database().name}`, () => keepCopyAlone(now));

async function keepCopyAlone(now: string): Promise<boolean> {
  const { data, files } = await backupData();
  if (data.posts.length === 0) return false;
  const folder = await copiesFolder();
  const pictures = await folder.getDirectoryHandle(PICTURES, { create: true });
  const known = new Set(await namesIn(pictures));
  for (const [sha, blob] of files) if (!known.has(sha)) await put(pictures, sha, blob);
  const bytes = await writeBackupFile({ made: now, data, files: new Map() }, sha256);
  await put(folder, `${fileName(now)}.zip`, new Blob([bytes]));
  const posts = data.posts.filter(({ deleted }) => deleted === '').length;
  const copy: KeptCopy = { made: now, posts, pictures: [...files.keys()] };
  // The list comes last: a copy counts from then on.
  await put(folder, `${fileName(now)}.json`, JSON.stringify(copy));
  await rotate(folder, pictures, now);
  return true;
}

async function rotate(
  folder: FileSystemDirectoryHandle,
  pictures: FileSystemDirectoryHandle,
  now: string,
): Promise<void> {
  const copies = await keptCopies();
  const gone = new Set(
    supersededCopies(
      copies.map(({ made }) => made),
      now,
    ),
  );
  for (const made of gone)
    for (const ending of ['json', 'zip']) await folder.removeEntry(`${fileName(made)}.${ending}`);
  const named = new Set(copies.flatMap((copy) => (gone.has(copy.made) ? [] : copy.pictures)));
  for (const sha of await namesIn(pictures)) if (!named.has(sha)) await pictures.removeEntry(sha);
}

/** A kept copy with its pictures; throws where it is not there any more. */
async function readCopy(made: string): Promise<{ bytes: Uint8Array; files: Map<string, Uint8Array> }> {
  const folder = await copiesFolder();
  const copy = (await keptCopies()).find((one) => one.made === made);
  if (!copy) throw new Error('is not kept any more. Choose another copy.');
  const pictures = await folder.getDirectoryHandle(PICTURES, { create: true });
  const files = new Map<string, Uint8Array>();
  for (const sha of copy.pictures) {
    const bytes = await read(pictures, sha).then(
      (file) => file.arrayBuffer(),
      () => null,
    );
    // One that is missing or was altered is named by the reading of the copy.
    if (bytes && (await sha256(bytes)) === sha) files.set(sha, new Uint8Array(bytes));
  }
  const file = await read(folder, `${fileName(made)}.zip`);
  return { bytes: new Uint8Array(await file.arrayBuffer()), files };
}

/** The newest copy as a backup with its pictures in it, for a page that cannot open its database; null: there is none. */
export async function newestCopyAsBackup(): Promise<Blob | null> {
  const [newest] = await keptCopies();
  if (!newest) return null;
  const { bytes, files } = await readCopy(newest.made);
  const backup = await readBackupFile<BackupTables>(bytes, sha256, files);
  return new Blob([await writeBackupFile(backup, sha256)], { type: 'application/zip' });
}

/** Puts a kept copy in, like any backup. Throws where it is not there any more or cannot be read. */
export async function restoreCopy(
  made: string,
  mode: RestoreMode,
  now: string,
): Promise<{ done: Restored; replaced: ReplacedRows }> {
  const { bytes, files } = await readCopy(made);
  return restoreBackup(bytes, mode, now, files);
}

/** Writes a backup of today into a folder that the writer chose, and takes out those of more than seven days ago. */
export async function writeIntoFolder(
  folder: FileSystemDirectoryHandle,
  file: Blob,
  now: string,
): Promise<void> {
  await put(folder, `dune-sparrow-${now.slice(0, 10)}.backup.zip`, file);
  const own = (await namesIn(folder)).filter((name) => OWN_NAME.test(name)).sort();
  for (const name of own.slice(0, -DAYS_IN_FOLDER)) await folder.removeEntry(name);
}
