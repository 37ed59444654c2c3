import { DEFAULT_TITLE_PATTERN } from '../../core/listing/index.ts';
import {
  emptyHouse,
  type House,
  type SitePage,
  type SiteSettings,
  unknownSite,
} from '../../core/site/index.ts';
import { changeRow, type RowBack } from './change-row.ts';
import { database } from './database.ts';
import { type PageRow, pageRow, type SiteRow } from './post-rows.ts';
import { keepTabSite, tabSite } from './tab-site.ts';

/** A site's row out of its settings; its pages lie in a table of their own. */
export function siteRow(id: string, { pages: _pages, ...settings }: SiteSettings): SiteRow {
  return { ...settings, id, revision: 1, house: emptyHouse(), opened: '' };
}

/** All sites by name. */
export const allSites = async (): Promise<SiteRow[]> =>
  (await database().sites.toArray()).sort((a, b) => a.name.localeCompare(b.name));

/**
 * The site in hand, which each tab has for itself: the one that this tab went to, or the one last gone to anywhere when
 * the tab first asked. Undefined before there is one.
 */
export async function currentSite(): Promise<SiteRow | undefined> {
  const sites = await database().sites.toArray();
  const own = sites.find(({ id }) => id === tabSite());
  if (own) return own;
  const [first, ...others] = sites;
  const latest = others.reduce((last, site) => (site.opened > last.opened ? site : last), first);
  if (latest) keepTabSite(latest.id);
  return latest;
}

/** Goes to a site: every list of this tab shows its posts from then on, and a new tab begins with it. */
export async function goToSite(id: string, now: string): Promise<void> {
  keepTabSite(id);
  // That it is gone to is no change of its rules.
  await database().sites.update(id, { opened: now });
}

/** Adds a site and goes to it. */
export async function addSite(id: string, name: string, now: string): Promise<void> {
  keepTabSite(id);
  await database().sites.add({ ...newSite(id, name), opened: now });
}

const newSite = (id: string, name: string): SiteRow =>
  siteRow(id, { ...unknownSite(), name, language: 'en', titlePattern: DEFAULT_TITLE_PATTERN });

/**
 * Takes a site out with everything that belongs to it; answers the way back, which puts these rows back and touches no
 * other. Pictures that no site names go with the next tidying.
 */
export async function removeSite(id: string): Promise<() => Promise<void>> {
  const { tables, sites, posts } = database();
  const own = tables.filter(({ schema }) => schema.indexes.some(({ keyPath }) => keyPath === 'siteId'));
  const gone = await database().transaction('rw', tables, async () => {
    const site = await sites.get(id);
    const rows = await Promise.all(own.map((table) => table.where('siteId').equals(id).toArray()));
    await sites.delete(id);
    await Promise.all(own.map((table) => table.where('siteId').equals(id).delete()));
    return { site, rows };
  });
  return () =>
    database().transaction('rw', tables, async () => {
      if (gone.site) await sites.put(gone.site);
      await Promise.all(own.map((table, at) => table.bulkPut(gone.rows[at])));
      // An open tab must not take what is put back for what it holds.
      await posts
        .where('siteId')
        .equals(id)
        .modify((row) => {
          row.revision += 1;
        });
    });
}

/** The site in hand; made where there is none yet. */
export async function ensureSite(): Promise<SiteRow> {
  const { sites } = database();
  // Two tabs of a fresh browser begin at the same site; two browsers at different ones, so that their backups can meet.
  return database().transaction('rw', sites, async () => {
    const found = await currentSite();
    if (found) return found;
    const site = newSite(crypto.randomUUID(), 'My blog');
    await sites.put(site);
    return site;
  });
}

/** Changes a site's settings; answers the way back. */
export const changeSite = (id: string, patch: Partial<SiteRow>): Promise<RowBack> =>
  changeRow(database().sites, id, () => patch);

/** Changes what a house decides, from how it stands in the database: two changes in quick succession both hold. Answers the way back. */
export const changeHouse = (id: string, change: (house: House) => House): Promise<RowBack> =>
  changeRow(database().sites, id, (site) => ({ house: change(site.house) }));

/** The pages of a site that are no posts here; null while none is known. */
export async function pagesOf(siteId: string): Promise<SitePage[] | null> {
  const rows = await database().pages.where('siteId').equals(siteId).toArray();
  return rows.length === 0
    ? null
    : rows.map(({ address, title }) => ({ address, ...(title ? { title } : {}) }));
}

/**
 * Adds pages to a site; of one that is known a missing title is filled in. Answers how many are new, and the way back:
 * it takes back these changes alone and answers how many of the pages were changed since, which stay as they are.
 */
export async function addPages(
  siteId: string,
  given: readonly SitePage[],
): Promise<{ added: number; takeBack: () => Promise<number> }> {
  const { pages } = database();
  const rows = new Map(given.flatMap((page) => pageRow(siteId, page) ?? []).map((row) => [row.path, row]));
  const keysOf = (paths: Iterable<string>) => [...paths].map((path): [string, string] => [siteId, path]);
  const before = await database().transaction('rw', pages, async () => {
    const known = (await pages.bulkGet(keysOf(rows.keys()))).flatMap((row) => row ?? []);
    for (const row of known) {
      const next = rows.get(row.path);
      if (row.title || !next?.title) rows.delete(row.path);
    }
    await pages.bulkPut([...rows.values()]);
    return new Map(known.map((row) => [row.path, row]));
  });
  return {
    added: [...rows.keys()].filter((path) => !before.has(path)).length,
    takeBack: () =>
      database().transaction('rw', pages, async () => {
        let left = 0;
        for (const now of await pages.bulkGet(keysOf(rows.keys()))) {
          // One that was taken out since stays out.
          if (!now) continue;
          const { title, address } = rows.get(now.path)!;
          if (now.title !== title || now.address !== address) {
            left += 1;
            continue;
          }
          const was = before.get(now.path);
          if (was) await pages.put(was);
          else await pages.delete([siteId, now.path]);
        }
        return left;
      }),
  };
}

/** Removes pages. */
export const removePages = (rows: readonly PageRow[]): Promise<void> =>
  database().pages.bulkDelete(rows.map(({ siteId, path }): [string, string] => [siteId, path]));

/** Puts pages back that were removed; one that came in again since stays as it is. */
export async function restorePages(rows: readonly PageRow[]): Promise<void> {
  const { pages } = database();
  await database().transaction('rw', pages, async () => {
    const now = await pages.bulkGet(rows.map(({ siteId, path }): [string, string] => [siteId, path]));
    await pages.bulkPut(rows.filter((_row, at) => !now[at]));
  });
}
