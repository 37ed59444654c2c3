import { effectiveMetaTitle, titleKey } from '../../listing/index.ts';

/** What of a post stands in its listing. */
export interface ListedPost {
  id: string;
  title: string;
  metaTitle: string;
  metaDescription: string;
}

/** Posts that say the same of themselves. */
export interface Doubled {
  what: 'title' | 'meta title' | 'meta description';
  /** As the first of them has it. */
  text: string;
  ids: string[];
}

/**
 * Titles, meta titles and descriptions that several posts have, whatever their capitals and spaces. Meta titles that are doubled only
 * because the titles are, are told of once.
 */
export function doubledListings(
  posts: readonly ListedPost[],
  site: { titlePattern: string | null; name: string },
): Doubled[] {
  const groups = (what: Doubled['what'], textOf: (post: ListedPost) => string): Doubled[] => {
    const byKey = new Map<string, Doubled>();
    for (const post of posts) {
      const text = textOf(post).trim();
      const key = titleKey(text);
      if (key === '') continue;
      const group = byKey.get(key);
      if (group) group.ids.push(post.id);
      else byKey.set(key, { what, text, ids: [post.id] });
    }
    return [...byKey.values()].filter(({ ids }) => ids.length > 1);
  };
  const titles = groups('title', ({ title }) => title);
  const told = new Set(titles.map(({ ids }) => ids.join(' ')));
  return [
    ...titles,
    ...groups('meta title', ({ metaTitle, title }) =>
      effectiveMetaTitle(metaTitle, title, site.titlePattern, site.name),
    ).filter(({ ids }) => !told.has(ids.join(' '))),
    ...groups('meta description', ({ metaDescription }) => metaDescription),
  ];
}
