import { type Remote, wrap } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import type { Jobs } from './jobs.ts';

/** The jobs as a page calls them: every answer comes later. */
type JobsClient = Remote<Jobs>;

let client: Promise<JobsClient> | null = null;

async function connect(): Promise<JobsClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') return (await import('./jobs.ts')).jobs as unknown as JobsClient;
  const worker = new Worker(new URL('./jobs-worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Jobs>(worker);
  await remote.open(database().name);
  return remote;
}

/** The worker for long jobs; started by the first who asks, so that screens are there before it. */
export function jobsWorker(): Promise<JobsClient> {
  client ??= connect();
  return client;
}
