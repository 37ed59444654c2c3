import { proxy, type Remote, wrap } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import type { Research } from './research.ts';

/** Research as a page calls it: every answer comes later. */
export type ResearchClient = Remote<Research>;

let client: Promise<ResearchClient> | null = null;

async function connect(): Promise<ResearchClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory')
    return (await import('./research.ts')).research as unknown as ResearchClient;
  const worker = new Worker(new URL('./research-worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Research>(worker);
  await remote.open(database().name);
  return remote;
}

/** The worker for research; started by the first who asks. */
export function researchWorker(): Promise<ResearchClient> {
  client ??= connect();
  return client;
}

/** A callback that a worker may call. */
export const told = (tell: (done: number) => void): ((done: number) => void) =>
  storageKind() === 'memory' ? tell : proxy(tell);
