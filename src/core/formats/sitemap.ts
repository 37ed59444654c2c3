import type { SitePage } from '../site/index.ts';
import { elementsOf, localName, textOfChild, xmlRoot } from './read-xml.ts';

/** What a sitemap names. */
export interface Sitemap {
  pages: SitePage[];
  /** Addresses of further sitemaps, where it is an index of them. */
  further: string[];
}

/** Reads a sitemap or an index of sitemaps (sitemaps.org protocol). Throws `UnreadableFile`. */
export function readSitemap(text: string): Sitemap {
  const root = xmlRoot(text);
  const addresses = (name: string) =>
    elementsOf(root, name)
      .map((entry) => textOfChild(entry, 'loc'))
      .filter(Boolean);
  return localName(root) === 'sitemapindex'
    ? { pages: [], further: addresses('sitemap') }
    : { pages: addresses('url').map((address) => ({ address })), further: [] };
}
