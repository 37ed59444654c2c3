import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { Links } from './links.ts';
import type { Sources } from './sources.ts';
import type { Titles } from './titles.ts';

/** What looks at a post within its site, as a page calls it: every answer comes later. */
export type LinksClient = Remote<Links & Sources & Titles>;

const link = connectWorker<Links & Sources & Titles>({
  name: 'Looking through the site',
  start: () => new Worker(new URL('./links-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for links and sources; started by the first who asks. */
export async function linksWorker(): Promise<LinksClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') {
    const [{ links }, { sources }, { titles }] = await Promise.all([
      import('./links.ts'),
      import('./sources.ts'),
      import('./titles.ts'),
    ]);
    return { ...links, ...sources, ...titles } as unknown as LinksClient;
  }
  return link.api();
}
