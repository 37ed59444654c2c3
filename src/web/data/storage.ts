import { databaseName, openDatabase, openInMemory } from './database.ts';

/** Where what is written goes: to this browser's storage, or nowhere but this window. */
export type StorageKind = 'kept' | 'memory';

let kind: StorageKind = 'kept';
export const storageKind = (): StorageKind => kind;

/** Opens the database; where the window refuses storage, one in memory stands in, so that work can go on and be exported. */
export async function openStorage(demo: boolean): Promise<void> {
  const name = databaseName(demo);
  try {
    const database = openDatabase(name);
    // A newer tab brings a newer database: this one lets go and says so.
    database.on('versionchange', () => {
      database.close();
      dispatchEvent(new CustomEvent(OUTDATED));
    });
    await database.open();
  } catch (error) {
    // An older page in front of a newer database must not write beside it.
    if ((error as { name?: string }).name === 'VersionError') throw error;
    console.error('Storage is refused:', error);
    kind = 'memory';
    await (await openInMemory(name)).open();
  }
}

/** Event on the window: another tab opened a newer version of the application. */
export const OUTDATED = 'dune-sparrow-outdated';

/** A failed write in words that say what to do. */
export function storageProblem(error: unknown): string {
  const { name = '', message = '', inner } = error as { name?: string; message?: string; inner?: unknown };
  const names = `${name} ${(inner as { name?: string } | undefined)?.name ?? ''} ${message}`;
  if (/QuotaExceeded/i.test(names))
    return 'The browser’s storage is full. What you write is held in this window only: save it as a file, then make room and go on.';
  return `It could not be saved (${message || 'unknown reason'}). What you write is held in this window only: save it as a file.`;
}
