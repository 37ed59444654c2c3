import { comparablePath } from '../../core/listing/index.ts';
import { database } from './database.ts';
import type { SiteRow } from './post-rows.ts';

/** Whether a site's blog has a list for each category where ours has it: it is the blog beside the application. */
export const hasLists = ({ publishing }: Pick<SiteRow, 'publishing'>): boolean =>
  (publishing?.kind ?? 'stand-in') === 'stand-in';

/** A site and the paths of its pages that are no posts, in comparable form: lists of categories are counted as such, not as pages. */
export async function siteAround(siteId: string): Promise<{ site: SiteRow; pages: Set<string> }> {
  const [site, rows] = await Promise.all([
    database().sites.get(siteId),
    database().pages.where('siteId').equals(siteId).toArray(),
  ]);
  if (!site) throw new Error('The site is gone.');
  const paths = rows.flatMap(({ address }) => comparablePath(address) ?? []);
  return { site, pages: new Set(paths.filter((path) => !(hasLists(site) && path.startsWith('/category/')))) };
}
