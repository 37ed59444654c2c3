import { type Remote, wrap } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import type { Plans } from './plan.ts';
import type { Studies } from './study.ts';

/** Studies as a page calls them: every answer comes later. */
type StudyClient = Remote<Studies & Plans>;

let client: Promise<StudyClient> | null = null;

async function connect(): Promise<StudyClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') {
    const [{ studies }, { plans }] = await Promise.all([import('./study.ts'), import('./plan.ts')]);
    return { ...studies, ...plans } as unknown as StudyClient;
  }
  const worker = new Worker(new URL('./study-worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<Studies & Plans>(worker);
  await remote.open(database().name);
  return remote;
}

/** The worker for studies; started by the first who asks. */
export function studyWorker(): Promise<StudyClient> {
  client ??= connect();
  return client;
}
