import type { Element } from 'hast';
import { type Category, type CategoryPicture, categoryPath } from '../listing/index.ts';
import type { BlogEntry, BlogSite, PicturePixels } from './blog.ts';
import { el, pageHtml, wholeAddress } from './page-shell.ts';
import { dayWritten, entryPath, pictureElement } from './post-page.ts';

/** Newest first; posts of one moment by their address, so that a list never changes by itself. */
export const newestFirst = (entries: readonly BlogEntry[]): BlogEntry[] =>
  [...entries].sort((a, b) =>
    a.published < b.published ? 1 : a.published > b.published ? -1 : a.slug < b.slug ? -1 : 1,
  );

/** One page of a list. */
export interface ListPart {
  entries: BlogEntry[];
  /** Counted from 1. */
  page: number;
  pages: number;
}

/** The posts of one page of a list; null where there is no such page. An empty list has one page. */
export function listPart(entries: readonly BlogEntry[], page: number, perPage: number): ListPart | null {
  const pages = Math.max(1, Math.ceil(entries.length / perPage));
  if (!Number.isInteger(page) || page < 1 || page > pages) return null;
  return { entries: newestFirst(entries).slice((page - 1) * perPage, page * perPage), page, pages };
}

/** Posts of a category: those filed there, and those of the categories within it. */
export function entriesOfCategory(
  entries: readonly BlogEntry[],
  { name, slug }: Category,
  categories: readonly Category[],
): BlogEntry[] {
  const names = new Set([name, ...categories.flatMap((one) => (one.parent === slug ? [one.name] : []))]);
  return entries.filter(({ mainCategory, categories: more }) =>
    [mainCategory, ...more].some((one) => names.has(one)),
  );
}

/** Path of a page of a list that begins at `base` (with closing slash). */
export const listPath = (base: string, page: number): string => (page === 1 ? base : `${base}page/${page}/`);

function teaser(site: BlogSite, entry: BlogEntry, pixels: PicturePixels, isFirst: boolean): Element {
  const path = entryPath(site, entry);
  const day = dayWritten(entry.published, entry.language || site.language);
  const own = site.categories.find(({ name }) => name === entry.mainCategory);
  return el(
    'article',
    { className: ['h-entry', 'teaser'] },
    entry.featured && site.look === 'cards'
      ? pictureElement({ ...entry.featured, alt: '' }, pixels, { loading: isFirst ? 'eager' : 'lazy' })
      : null,
    el('h2', { className: ['p-name'] }, el('a', { className: ['u-url'], href: path }, entry.title)),
    el(
      'p',
      { className: ['byline'] },
      own ? el('a', { href: categoryPath(site, own.slug) }, own.name) : null,
      own && day ? ' · ' : null,
      day ? el('time', { className: ['dt-published'], dateTime: entry.published }, day) : null,
    ),
    entry.excerpt ? el('p', { className: ['p-summary'] }, entry.excerpt) : null,
    el(
      'p',
      { className: ['more'] },
      // Read by itself a link says where it leads.
      el('a', { href: path }, site.moreWords, el('span', { className: ['unseen'] }, `: ${entry.title}`)),
    ),
  );
}

/** Which list it is. */
export interface ListKind {
  /** Path of its first page, with closing slash. */
  base: string;
  title: string;
  description: string;
  picture?: CategoryPicture;
}

/** A page of a list: of all posts, of a category, of an author. */
export function listPage(
  site: BlogSite,
  { base, title, description, picture: own }: ListKind,
  { entries, page, pages }: ListPart,
  pixels: PicturePixels,
): string {
  const isHome = base === '/';
  const heading = title || site.name;
  const pageTitle = `${heading}${page > 1 ? `, page ${page}` : ''}${isHome ? '' : ` | ${site.name}`}`;
  const [before, after] = [
    page > 1 ? listPath(base, page - 1) : null,
    page < pages ? listPath(base, page + 1) : null,
  ];
  const picture = own?.src ?? entries.find(({ featured }) => featured)?.featured?.src ?? '';
  return pageHtml(
    site,
    {
      title: pageTitle,
      description: description || site.description,
      canonical: wholeAddress(site, listPath(base, page)),
      robots: '',
      language: site.language,
      share: { title: pageTitle, description: description || site.description, picture, kind: 'website' },
      data: [],
      before,
      after,
    },
    [
      el('h1', {}, heading),
      description ? el('p', { className: ['intro'] }, description) : null,
      own && page === 1 ? el('figure', { className: ['featured'] }, pictureElement(own, pixels)) : null,
      entries.length === 0
        ? el('p', {}, 'Nothing has been published here yet.')
        : el(
            'div',
            { className: ['list', site.look] },
            ...entries.map((entry, at) => teaser(site, entry, pixels, at === 0)),
          ),
      pages > 1
        ? el(
            'nav',
            { className: ['pages'], ariaLabel: 'Pages of this list' },
            before ? el('a', { href: before, rel: ['prev'] }, 'Newer posts') : null,
            el('span', {}, `Page ${page} of ${pages}`),
            after ? el('a', { href: after, rel: ['next'] }, 'Older posts') : null,
          )
        : null,
    ],
  );
}
