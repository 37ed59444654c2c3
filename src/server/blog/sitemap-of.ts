import { Readable } from 'node:stream';
import { SitemapStream, streamToPromise } from 'sitemap';
import { type BlogEntry, type BlogSite, entryPath, wholeAddress } from '../../core/blog/index.ts';
import { categoryPath } from '../../core/listing/index.ts';

/** Instants whole: a bare day would become midnight somewhere else. */
const instant = (text: string): string | undefined => {
  const time = Date.parse(text);
  return Number.isNaN(time) ? undefined : new Date(time).toISOString();
};

/** Addresses of pictures in a text. */
const picturesIn = (html: string): string[] =>
  [...html.matchAll(/<img\b[^<>]{0,2000}?\ssrc="([^"]{1,2000})"/g)].map(([, src]) => src);

/** The addresses that search is told of, with the pictures of each post (sitemaps.org protocol). */
export async function sitemapOf(site: BlogSite, entries: readonly BlogEntry[]): Promise<string> {
  const latest = entries.reduce((at, { updated }) => (updated > at ? updated : at), '');
  const items = [
    { url: `${site.address}/`, ...(instant(latest) ? { lastmod: instant(latest) } : {}) },
    ...site.pages.map(({ path }) => ({ url: wholeAddress(site, path) })),
    ...site.categories
      .filter(({ name }) => entries.some((entry) => [entry.mainCategory, ...entry.categories].includes(name)))
      .map(({ slug }) => ({ url: wholeAddress(site, categoryPath(site, slug)) })),
    ...entries
      .filter(({ robots }) => !/noindex/i.test(robots))
      .map((entry) => ({
        url: wholeAddress(site, entryPath(site, entry)),
        ...(instant(entry.updated) ? { lastmod: instant(entry.updated) } : {}),
        img: [...new Set([...(entry.featured ? [entry.featured.src] : []), ...picturesIn(entry.html)])].map(
          (src) => ({
            url: wholeAddress(site, src),
          }),
        ),
      })),
  ];
  const stream = new SitemapStream({
    hostname: site.address,
    xmlns: { news: false, video: false, xhtml: false, image: true },
  });
  return (await streamToPromise(Readable.from(items).pipe(stream))).toString();
}
