import { database } from './database.ts';
import type { FolderRow, TrialRow, UnsavedRow } from './visit-rows.ts';

/**
 * What a visit has in hand and the database has not yet, in a store of its own: a write to it waits for no other, and
 * is on its way before the call returns, so that it outlives the page and the browser. It is asked without Dexie, whose
 * writes begin only after the call.
 */
let opened: { name: string; open: Promise<IDBDatabase | null>; store: IDBDatabase | null } | null = null;

interface Rows {
  unsaved: UnsavedRow;
  trials: TrialRow;
  folders: FolderRow;
}

/** Opens the store of the database in hand. Where the window refuses storage there is none, and nothing is kept. */
export function openVisitStore(): Promise<IDBDatabase | null> {
  const name = `${database().name}-visits`;
  if (opened?.name === name) return opened.open;
  const open = new Promise<IDBDatabase | null>((done) => {
    // In a window that refuses storage even asking may throw.
    try {
      const request = indexedDB.open(name, 1);
      request.onupgradeneeded = () => {
        request.result.createObjectStore('unsaved', { keyPath: 'visit' });
        request.result.createObjectStore('trials', { keyPath: 'postId' });
        request.result.createObjectStore('folders', { keyPath: 'id' });
      };
      request.onsuccess = () => {
        const store = request.result;
        store.onversionchange = () => store.close();
        if (opened?.name === name) opened.store = store;
        done(store);
      };
      request.onerror = () => done(null);
    } catch {
      done(null);
    }
  });
  opened = { name, open, store: null };
  return open;
}

/**
 * Writes a row, or takes it out (null), at once: when the call returns the write cannot be overtaken by the end of the
 * page. Before the store is open it waits for it. Answers whether it was kept.
 */
export function writeNow<Name extends keyof Rows>(
  name: Name,
  key: string,
  row: Rows[Name] | null,
): Promise<boolean> {
  const write = (store: IDBDatabase | null) =>
    new Promise<boolean>((done) => {
      if (!store) {
        done(false);
        return;
      }
      try {
        const transaction = store.transaction(name, 'readwrite', { durability: 'relaxed' });
        if (row) transaction.objectStore(name).put(row);
        else transaction.objectStore(name).delete(key);
        transaction.oncomplete = () => done(true);
        transaction.onabort = () => done(false);
        // Without this the browser would wait for the page's next turn, which may not come.
        transaction.commit();
      } catch {
        done(false);
      }
    });
  return opened?.store ? write(opened.store) : openVisitStore().then(write);
}

/** All rows of one kind; none where nothing can be kept. */
export async function readVisits<Name extends keyof Rows>(name: Name): Promise<Rows[Name][]> {
  const store = await openVisitStore();
  if (!store) return [];
  return new Promise((done) => {
    try {
      const request = store.transaction(name).objectStore(name).getAll();
      request.onsuccess = () => done(request.result as Rows[Name][]);
      request.onerror = () => done([]);
    } catch {
      done([]);
    }
  });
}
