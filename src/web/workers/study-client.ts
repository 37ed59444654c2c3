import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Plans } from './plan.ts';
import type { Studies } from './study.ts';

/** Studies as a page calls them: every answer comes later. */
type StudyClient = Remote<Studies & Plans>;

const link = connectWorker<Studies & Plans>({
  name: 'The study',
  start: () => new Worker(new URL('./study-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for studies; started by the first who asks. */
export async function studyWorker(): Promise<StudyClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') {
    const [{ studies }, { plans }] = await Promise.all([import('./study.ts'), import('./plan.ts')]);
    return { ...studies, ...plans } as unknown as StudyClient;
  }
  return link.api();
}
