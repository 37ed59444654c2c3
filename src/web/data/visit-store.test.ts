import 'fake-indexeddb/auto';
import { expect, it } from 'vitest';
import { addressChecks, keepAddressCheck } from './address-checks.ts';
import { openDatabase } from './database.ts';
import { readVisits } from './visit-store.ts';

/** The store as its first version made it, with a row in it. */
const firstVersion = (name: string) =>
  new Promise<void>((done, fail) => {
    const request = indexedDB.open(`${name}-visits`, 1);
    request.onupgradeneeded = () => {
      request.result.createObjectStore('unsaved', { keyPath: 'visit' });
      request.result.createObjectStore('trials', { keyPath: 'postId' });
      request.result.createObjectStore('folders', { keyPath: 'id' });
    };
    request.onerror = () => fail(request.error);
    request.onsuccess = () => {
      const transaction = request.result.transaction('unsaved', 'readwrite');
      transaction.objectStore('unsaved').put({ visit: 'v', postId: 'p', bases: [] });
      transaction.oncomplete = () => {
        request.result.close();
        done();
      };
    };
  });

it('a store of the first version keeps what was not saved, and takes what is known of addresses', async () => {
  const name = 'dune-sparrow-visits-test';
  await firstVersion(name);
  openDatabase(name);
  expect((await readVisits('unsaved')).map(({ visit }) => visit)).toEqual(['v']);
  const answer = {
    address: 'https://miller.example/',
    state: 'gone' as const,
    status: 404,
    to: null,
    says: 'There is no page (404).',
    at: '2026-11-29T09:00:00.000Z',
  };
  expect(await keepAddressCheck(answer)).toBe(true);
  expect(await addressChecks(['https://miller.example/', 'constructor'])).toEqual(
    new Map([['https://miller.example/', answer]]),
  );
  expect(await addressChecks(['https://other.example/'])).toEqual(new Map());
});
