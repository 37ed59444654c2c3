import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Links } from './links.ts';

const link = connectWorker<Links>({
  name: 'Looking through links',
  start: () => new Worker(new URL('./links-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for links; started by the first who asks. */
export async function linksWorker(): Promise<Remote<Links>> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') return (await import('./links.ts')).links as unknown as Remote<Links>;
  return link.api();
}
