import { proxy, type Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Research } from './research.ts';

/** Research as a page calls it: every answer comes later. */
export type ResearchClient = Remote<Research>;

const link = connectWorker<Research>({
  name: 'Research',
  start: () => new Worker(new URL('./research-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for research; started by the first who asks. */
export async function researchWorker(): Promise<ResearchClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory')
    return (await import('./research.ts')).research as unknown as ResearchClient;
  return link.api();
}

/** A callback that a worker may call. */
export const progressTo = (tell: (done: number) => void): ((done: number) => void) =>
  storageKind() === 'memory' ? tell : proxy(tell);
