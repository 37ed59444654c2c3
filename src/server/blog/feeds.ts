import { Feed } from 'feed';
import { type BlogEntry, type BlogSite, entryPath, wholeAddress } from '../../core/blog/index.ts';

/** Posts that a feed holds. */
const MOST = 20;

/** Addresses in a text made whole: a feed is read far from the blog. */
const withWholeAddresses = (site: BlogSite, html: string): string =>
  html.replace(
    /(<(?:a|img)\b[^<>]{0,2000}?\s(?:href|src)=")(\/[^"/][^"]{0,2000}|\/)"/g,
    (_whole, before: string, path: string) => `${before}${wholeAddress(site, path)}"`,
  );

/** The blog's newest posts as RSS 2.0 and Atom. */
export function feedOf(site: BlogSite, entries: readonly BlogEntry[]): { rss: string; atom: string } {
  const shown = entries.slice(0, MOST);
  const updated = shown.reduce((latest, { updated: at }) => (at > latest ? at : latest), '');
  const feed = new Feed({
    id: `${site.address}/`,
    link: `${site.address}/`,
    title: site.name,
    description: site.description,
    language: site.language,
    copyright: '',
    updated: new Date(updated || 0),
    generator: 'Dune Sparrow',
    feedLinks: {
      rss: `${site.address}/rss.xml`,
      atom: `${site.address}/atom.xml`,
      json: `${site.address}/feed.json`,
    },
  });
  for (const entry of shown) {
    const link = wholeAddress(site, entryPath(site, entry));
    feed.addItem({
      id: link,
      link,
      title: entry.title,
      description: entry.excerpt,
      content: withWholeAddresses(site, entry.html),
      date: new Date(entry.updated || entry.published || 0),
      ...(entry.published ? { published: new Date(entry.published) } : {}),
      ...(entry.author ? { author: [{ name: entry.author }] } : {}),
      category: [entry.mainCategory, ...entry.categories].filter(Boolean).map((name) => ({ name })),
    });
  }
  return { rss: feed.rss2(), atom: feed.atom1() };
}

/** The same as JSON Feed 1.1. */
export const jsonFeedOf = (site: BlogSite, entries: readonly BlogEntry[]) => ({
  version: 'https://jsonfeed.org/version/1.1',
  title: site.name,
  home_page_url: `${site.address}/`,
  feed_url: `${site.address}/feed.json`,
  ...(site.description ? { description: site.description } : {}),
  language: site.language,
  items: entries.slice(0, MOST).map((entry) => {
    const url = wholeAddress(site, entryPath(site, entry));
    return {
      id: url,
      url,
      title: entry.title,
      content_html: withWholeAddresses(site, entry.html),
      ...(entry.excerpt ? { summary: entry.excerpt } : {}),
      ...(entry.featured ? { image: wholeAddress(site, entry.featured.src) } : {}),
      ...(entry.published ? { date_published: entry.published } : {}),
      ...(entry.updated ? { date_modified: entry.updated } : {}),
      ...(entry.author ? { authors: [{ name: entry.author }] } : {}),
      tags: [entry.mainCategory, ...entry.categories].filter(Boolean),
    };
  }),
});
