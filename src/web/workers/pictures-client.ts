import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Pictures } from './pictures.ts';

const link = connectWorker<Pictures>({
  name: 'Working on pictures',
  start: () => new Worker(new URL('./pictures-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for pictures; started by the first who asks. */
export async function picturesWorker(): Promise<Remote<Pictures>> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory')
    return (await import('./pictures.ts')).pictures as unknown as Remote<Pictures>;
  return link.api();
}
