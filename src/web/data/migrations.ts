import type { Transaction } from 'dexie';
import { type PostFields, wholeFields } from '../../core/draft/index.ts';
import { emptyHouse, type SitePage } from '../../core/site/index.ts';
import { pageRow, type SiteRow } from './post-rows.ts';
import type { UndatedPerformanceRow } from './research-rows.ts';
import { figureRowsOfUndated } from './undated-performance.ts';

/** Version 1 kept the pages of a site among its settings. */
export async function pagesOutOfSettings(transaction: Transaction): Promise<void> {
  const sites = transaction.table('sites');
  for (const { pages, ...site } of (await sites.toArray()) as (SiteRow & { pages?: SitePage[] })[]) {
    const rows = (pages ?? []).flatMap((page) => pageRow(site.id, page) ?? []);
    await transaction.table('pages').bulkPut(rows);
    await sites.put(site);
  }
}

/** Version 2 knew one site, and no house beside its settings. */
export async function houseForSites(transaction: Transaction): Promise<void> {
  const sites = transaction.table('sites');
  for (const site of (await sites.toArray()) as SiteRow[])
    await sites.put({ ...site, house: emptyHouse(), opened: '' });
}

/** Gives the posts of some tables the fields that came since: with versions 6, 7 and 13. */
export const wholeFieldsIn =
  (...tables: string[]) =>
  async (transaction: Transaction): Promise<void> => {
    for (const table of tables)
      await transaction
        .table(table)
        .toCollection()
        .modify((row: { fields: PostFields }) => {
          row.fields = wholeFields(row.fields);
        });
  };

/** Before version 11 one export was kept, without saying of which days it was. */
export async function datedPerformance(transaction: Transaction): Promise<void> {
  const rows = (await transaction.table('performance').toArray()) as UndatedPerformanceRow[];
  await transaction.table('searchFigures').bulkPut(figureRowsOfUndated(rows));
}
