import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Jobs } from './jobs.ts';

/** The jobs as a page calls them: every answer comes later. */
type JobsClient = Remote<Jobs>;

const link = connectWorker<Jobs>({
  name: 'The work in the background',
  start: () => new Worker(new URL('./jobs-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for long jobs; started by the first who asks, so that screens are there before it. */
export async function jobsWorker(): Promise<JobsClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') return (await import('./jobs.ts')).jobs as unknown as JobsClient;
  return link.api();
}
