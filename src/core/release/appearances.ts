import type { PostFields } from '../draft/index.ts';
import { type Category, categoryNamed, categoryPath } from '../listing/index.ts';

/** A page of the blog on which a post will stand, or not. */
export interface Appearance {
  /** In words: `Home`, `Category Routes`, `Feed`, `Sitemap`. */
  name: string;
  path: string;
  appears: boolean;
  /** Why not, or where on it. */
  says: string;
}

/**
 * Where a post will appear once it is out, and where not: home, each list of a category, the list of posts without one, feeds
 * and sitemap. `newer` is how many published posts carry a later date; of a blog whose categories are not known (null) each is
 * taken to be there.
 */
export function appearances(
  { category, categories, robots, author }: PostFields,
  site: { categories: readonly Category[] | null; perPage: number },
  newer: number,
): Appearance[] {
  const page = Math.floor(newer / site.perPage) + 1;
  const onPage = page === 1 ? 'on its first page' : `on page ${page}, for ${newer} posts are newer`;
  const found: Appearance[] = [
    { name: 'Home', path: page === 1 ? '/' : `/page/${page}/`, appears: true, says: onPage },
  ];
  const filed = [...new Set([category, ...categories].map((name) => name.trim()).filter(Boolean))];
  const lists = new Map<string, Appearance>();
  for (const name of filed) {
    if (site.categories === null) {
      lists.set(name, { name: `Category ${name}`, path: '', appears: true, says: '' });
      continue;
    }
    const own = categoryNamed(site.categories, name);
    if (!own) {
      lists.set(name, {
        name: `Category ${name}`,
        path: '',
        appears: false,
        says: 'the blog has no such category: it is shown as a tag',
      });
      continue;
    }
    for (let at: Category | undefined = own; at; ) {
      const { slug, parent }: Category = at;
      if (!lists.has(slug))
        lists.set(slug, {
          name: `Category ${at.name}`,
          path: categoryPath({ categories: site.categories }, slug),
          appears: true,
          says: at === own ? '' : `above ${own.name}`,
        });
      at = parent === '' ? undefined : site.categories?.find((one) => one.slug === parent);
    }
  }
  found.push(...lists.values());
  if (filed.length === 0)
    found.push({
      name: 'Categories',
      path: '',
      appears: false,
      says: 'on no list of a category: it has none',
    });
  if (author.trim()) found.push({ name: `Posts by ${author.trim()}`, path: '', appears: true, says: '' });
  const isHidden = /\bnoindex\b/i.test(robots);
  found.push(
    {
      name: 'Feeds',
      path: '/rss.xml',
      appears: newer < 20,
      says: newer < 20 ? '' : 'they hold the newest 20',
    },
    {
      name: 'Sitemap',
      path: '/sitemap.xml',
      appears: !isHidden,
      says: isHidden ? 'search is asked not to show it' : '',
    },
  );
  return found;
}
