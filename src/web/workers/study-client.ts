import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Plans } from './plan.ts';
import type { Studies } from './study.ts';
import type { Writing } from './writing.ts';

/** Studies as a page calls them: every answer comes later. */
type StudyClient = Remote<Studies & Plans & Writing>;

const link = connectWorker<Studies & Plans & Writing>({
  name: 'The study',
  start: () => new Worker(new URL('./study-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for studies; started by the first who asks. */
export async function studyWorker(): Promise<StudyClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') {
    const [{ studies }, { plans }, { writing }] = await Promise.all([
      import('./study.ts'),
      import('./plan.ts'),
      import('./writing.ts'),
    ]);
    return { ...studies, ...plans, ...writing } as unknown as StudyClient;
  }
  return link.api();
}
