import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Reusing } from './reuse.ts';
import type { Talk } from './talk.ts';

/** What works on talks and on what posts are made into, as a page calls it: every answer comes later. */
export type TalkClient = Remote<Talk & Reusing>;

const link = connectWorker<Talk & Reusing>({
  name: 'Reading and making',
  start: () => new Worker(new URL('./talk-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for talks; started by the first who asks. */
export async function talkWorker(): Promise<TalkClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') {
    const [{ talk }, { reusing }] = await Promise.all([import('./talk.ts'), import('./reuse.ts')]);
    return { ...talk, ...reusing } as unknown as TalkClient;
  }
  return link.api();
}
