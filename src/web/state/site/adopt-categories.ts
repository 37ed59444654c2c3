import { categoryNamed } from '../../../core/listing/index.ts';
import { categoriesOfPosts } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database } from '../../data/database.ts';
import { postsOf } from '../../data/posts.ts';
import { hasLists } from '../../data/site-around.ts';
import { standIn } from '../../services/publishing.ts';

/**
 * Gives a site whose categories nobody has put in order those of its posts; where they are on the blog beside the application, as
 * that has them, so that it is changed and not replaced.
 */
export async function adoptCategories(siteId: string): Promise<void> {
  const { sites } = database();
  const [site, posts] = await Promise.all([sites.get(siteId), postsOf(siteId)]);
  if (!site || site.categories) return;
  const filings = posts.map(({ fields }) => fields);
  // The blog may not stand, or be that of another site.
  const blog = hasLists(site) ? await standIn().catch(() => null) : null;
  const there = blog?.settings.categories ?? [];
  const isOurs = filings.some(({ category }) => categoryNamed(there, category));
  const categories = categoriesOfPosts(filings, isOurs ? there : []);
  await changeRow(sites, siteId, (now) => (now.categories ? {} : { categories }));
}
