import { DEFAULT_TITLE_PATTERN } from '../../core/listing/index.ts';
import {
  emptyHouse,
  type House,
  type SitePage,
  type SiteSettings,
  unknownSite,
} from '../../core/site/index.ts';
import { database, type PageRow, pageRow, type SiteRow } from './database.ts';

/** The site that a fresh database begins with. */
const FIRST_SITE = 'site-1';

/** A site's row out of its settings; its pages lie in a table of their own. */
export function siteRow(id: string, { pages: _pages, ...settings }: SiteSettings): SiteRow {
  return { ...settings, id, revision: 1, house: emptyHouse(), opened: '' };
}

/** All sites by name. */
export const allSites = async (): Promise<SiteRow[]> =>
  (await database().sites.toArray()).sort((a, b) => a.name.localeCompare(b.name));

/** The site in hand: the one last gone to; undefined before there is one. */
export async function currentSite(): Promise<SiteRow | undefined> {
  const [first, ...others] = await database().sites.toArray();
  return others.reduce((latest, site) => (site.opened > latest.opened ? site : latest), first);
}

/** Goes to a site: every list shows its posts from then on. */
export const goToSite = (id: string, now: string): Promise<void> => changeSite(id, { opened: now });

/** Adds a site and goes to it. */
export async function addSite(id: string, name: string, now: string): Promise<void> {
  await database().sites.add({ ...newSite(id, name), opened: now });
}

const newSite = (id: string, name: string): SiteRow =>
  siteRow(id, { ...unknownSite(), name, language: 'en', titlePattern: DEFAULT_TITLE_PATTERN });

/** Takes a site out with everything that belongs to it. Pictures that no site names go with the next tidying. */
export async function removeSite(id: string): Promise<void> {
  const { tables } = database();
  await database().transaction('rw', tables, async () => {
    await database().sites.delete(id);
    for (const table of tables)
      if (table.schema.indexes.some(({ keyPath }) => keyPath === 'siteId'))
        await table.where('siteId').equals(id).delete();
  });
}

/** The site in hand; made where there is none yet. */
export async function ensureSite(): Promise<SiteRow> {
  const found = await currentSite();
  if (found) return found;
  const site = newSite(FIRST_SITE, 'My blog');
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

/** Changes what a house decides, from how it stands in the database: two changes in quick succession both hold. */
export async function changeHouse(id: string, change: (house: House) => House): Promise<void> {
  await database().transaction('rw', database().sites, async () => {
    const row = await database().sites.get(id);
    if (row) await database().sites.put({ ...row, house: change(row.house), revision: row.revision + 1 });
  });
}

/** The pages of a site that are no posts here; null while none is known. */
export async function pagesOf(siteId: string): Promise<SitePage[] | null> {
  const rows = await database().pages.where('siteId').equals(siteId).toArray();
  return rows.length === 0
    ? null
    : rows.map(({ address, title }) => ({ address, ...(title ? { title } : {}) }));
}

/** Adds pages; one that is known gets its title where it has none yet. Answers what to put back to undo it. */
export async function addPages(
  siteId: string,
  given: readonly SitePage[],
): Promise<{ added: PageRow[]; before: PageRow[] }> {
  const { pages } = database();
  const rows = new Map(given.flatMap((page) => pageRow(siteId, page) ?? []).map((row) => [row.path, row]));
  return database().transaction('rw', pages, async () => {
    const known = await pages.bulkGet([...rows.keys()].map((path): [string, string] => [siteId, path]));
    const before = known.flatMap((row) => row ?? []);
    for (const row of before) {
      const next = rows.get(row.path);
      if (row.title || !next?.title) rows.delete(row.path);
    }
    const changed = before.filter((row) => rows.has(row.path));
    await pages.bulkPut([...rows.values()]);
    const old = new Set(before.map((row) => row.path));
    return { added: [...rows.values()].filter((row) => !old.has(row.path)), before: changed };
  });
}

/** Removes pages. */
export const removePages = (rows: readonly PageRow[]): Promise<void> =>
  database().pages.bulkDelete(rows.map(({ siteId, path }): [string, string] => [siteId, path]));

/** Puts pages back as they were. */
export const restorePages = async (rows: readonly PageRow[]): Promise<void> => {
  await database().pages.bulkPut([...rows]);
};
