import { DEFAULT_TITLE_PATTERN } from '../../core/listing/index.ts';
import { unknownSite } from '../../core/site/index.ts';
import { database, type SiteRow } from './database.ts';

/** The site that a fresh database begins with. */
const FIRST_SITE = 'site-1';

/** The site in hand; made where there is none yet. */
export async function ensureSite(): Promise<SiteRow> {
  const found = await database().sites.toCollection().first();
  if (found) return found;
  const site: SiteRow = {
    ...unknownSite(),
    id: FIRST_SITE,
    revision: 1,
    name: 'My blog',
    language: 'en',
    titlePattern: DEFAULT_TITLE_PATTERN,
  };
  await database().sites.put(site);
  return site;
}

/** Changes a site's settings. */
export async function changeSite(id: string, patch: Partial<SiteRow>): Promise<void> {
  await database().transaction('rw', database().sites, async () => {
    const row = await database().sites.get(id);
    if (row) await database().sites.put({ ...row, ...patch, revision: row.revision + 1 });
  });
}
