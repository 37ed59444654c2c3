import type { Remote } from 'comlink';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { connectWorker } from './connect-worker.ts';
import type { WholeSite } from './whole-site.ts';

/** What looks at a site as a whole, as a page calls it: every answer comes later. */
export type SiteClient = Remote<WholeSite>;

const link = connectWorker<WholeSite>({
  name: 'Looking at the whole site',
  start: () => new Worker(new URL('./site-worker.ts', import.meta.url), { type: 'module' }),
  open: (api) => api.open(database().name),
});

/** The worker for the whole site; started by the first who asks. */
export async function siteWorker(): Promise<SiteClient> {
  // What lies in the page's memory no worker can see.
  if (storageKind() === 'memory') {
    const { wholeSite } = await import('./whole-site.ts');
    return wholeSite as unknown as SiteClient;
  }
  return link.api();
}
