import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type BlogSite, emptyBlog } from '../../core/blog/index.ts';
import { attribute, findElement } from '../../core/draft/hast-reading.ts';
import { parsePage } from '../../core/draft/parse-html.ts';
import { createBlog } from './blog-app.ts';
import { BlogStore } from './blog-store.ts';

export const ADDRESS = 'http://127.0.0.1:4311';

const SITE: BlogSite = {
  ...emptyBlog(ADDRESS),
  name: 'The Rye Oven',
  description: 'Bread, slowly.',
  addressPattern: '/journal/{slug}',
  titlePattern: '{title} | {site}',
  perPage: 3,
  categories: [
    { name: 'Loaves', slug: 'loaves', description: 'What comes out of it.', parent: '' },
    { name: 'Rye', slug: 'rye', description: '', parent: 'loaves' },
    { name: 'Tools', slug: 'tools', description: '', parent: '' },
  ],
  pages: [
    {
      path: '/prices',
      title: 'Prices <of> loaves',
      description: 'What a loaf costs.',
      html: '<p>A loaf is £4.</p>',
    },
  ],
};

/** A blog in a folder of its own, with a token that may do everything; `clock` says what time it is there. */
export function newBlog({
  folder = mkdtempSync(join(tmpdir(), 'blog-')),
  site = {},
  clock = () => Date.parse('2026-11-29T12:00:00Z'),
}: {
  folder?: string;
  site?: Partial<BlogSite>;
  clock?: () => number;
} = {}) {
  const store = new BlogStore(folder, { ...SITE, ...site }, clock);
  return { folder, store, app: createBlog(store), token: store.ownToken() };
}

export const picture = (name: string): Buffer =>
  readFileSync(fileURLToPath(new URL(`../../demo/media/${name}`, import.meta.url)));

/** An entry as it is handed over; each property one value or several. */
export const entry = (properties: Record<string, unknown>) => ({
  type: ['h-entry'],
  properties: Object.fromEntries(
    Object.entries(properties).map(([name, value]) => [name, Array.isArray(value) ? value : [value]]),
  ),
});

/** What of a page a browser would run, by name. */
export function running(html: string): string[] {
  const found: string[] = [];
  findElement(parsePage(html), (el) => {
    const isData = attribute(el, 'type') === 'application/ld+json';
    if (/^(?:script|iframe|object|embed|base)$/.test(el.tagName) && !isData) found.push(el.tagName);
    for (const [name, value] of Object.entries(el.properties))
      if (/^on|^srcDoc$/i.test(name) || /^\s*(?:javascript|data:text)/i.test(String(value)))
        found.push(`${el.tagName} ${name}`);
    return false;
  });
  return found;
}
