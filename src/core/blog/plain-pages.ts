import type { BlogEntry, BlogSite } from './blog.ts';
import { el, pageHtml, wholeAddress } from './page-shell.ts';
import { entryPath } from './post-page.ts';

/** Posts that a search names. */
const MOST_FOUND = 20;

const searchForm = (asked: string) =>
  el(
    'form',
    { action: '/search', method: 'get', role: 'search' },
    el('label', { htmlFor: ['q'] }, 'Search the blog'),
    el('input', { id: 'q', name: 'q', type: 'search', value: asked }),
    el('button', { type: 'submit' }, 'Search'),
  );

function plainPage(
  site: BlogSite,
  path: string,
  title: string,
  ...main: Parameters<typeof pageHtml>[2]
): string {
  return pageHtml(
    site,
    {
      title: `${title} | ${site.name}`,
      description: '',
      canonical: wholeAddress(site, path),
      robots: 'noindex',
      language: site.language,
      share: { title, description: '', picture: '', kind: 'website' },
      data: [],
    },
    [el('h1', {}, title), ...main],
  );
}

/** What stands where nothing stands. */
export const notFoundPage = (site: BlogSite): string =>
  plainPage(
    site,
    '/',
    'There is no such page',
    el('p', {}, 'Perhaps it goes by another name:'),
    searchForm(''),
  );

/** What stands where a post was taken away for good. */
export const gonePage = (site: BlogSite): string =>
  plainPage(
    site,
    '/',
    'This post was taken away',
    el('p', {}, 'It will not come back. Others may tell what you look for:'),
    searchForm(''),
  );

/** Posts that hold all the words asked for, those with them in the title first. */
export function foundEntries(entries: readonly BlogEntry[], asked: string): BlogEntry[] {
  const words = asked.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 10);
  if (words.length === 0) return [];
  const holds = (text: string) => {
    const low = text.toLowerCase();
    return words.every((word) => low.includes(word));
  };
  const inText = entries.filter(({ title, excerpt, html }) =>
    holds(`${title} ${excerpt} ${html.replace(/<[^>]{0,2000}>/g, ' ')}`),
  );
  return [
    ...inText.filter(({ title }) => holds(title)),
    ...inText.filter(({ title }) => !holds(title)),
  ].slice(0, MOST_FOUND);
}

/** The answer to a search. */
export function searchPage(site: BlogSite, asked: string, found: readonly BlogEntry[]): string {
  const list =
    found.length > 0
      ? el(
          'ul',
          { className: ['found'] },
          ...found.map((entry) =>
            el(
              'li',
              {},
              el('a', { href: entryPath(site, entry) }, entry.title),
              entry.excerpt ? ` ${entry.excerpt}` : null,
            ),
          ),
        )
      : el('p', {}, asked.trim() ? 'No post has these words.' : 'Write what you look for.');
  return plainPage(site, '/search', 'Search', searchForm(asked), list);
}
