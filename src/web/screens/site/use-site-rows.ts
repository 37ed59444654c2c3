import { database } from '../../data/database.ts';
import type { PageRow, PostRow, SiteRow } from '../../data/post-rows.ts';
import { postsOf } from '../../data/posts.ts';
import { currentSite } from '../../data/sites.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';

/** The site in hand with everything that has an address there; undefined until it is read. */
export const useSiteRows = (): { site: SiteRow; pages: PageRow[]; posts: PostRow[] } | undefined =>
  useLiveQuery(async () => {
    const site = await currentSite();
    if (!site) return undefined;
    const [pages, posts] = await Promise.all([
      database().pages.where('siteId').equals(site.id).toArray(),
      postsOf(site.id),
    ]);
    return { site, pages, posts };
  });
