import type { Element } from 'hast';
import { readingMinutes, recordingData } from '../draft/index.ts';
import { categoryPath, effectiveMetaTitle, postPath } from '../listing/index.ts';
import type { BlogEntry, BlogSite, PicturePixels } from './blog.ts';
import { el, pageHtml, wholeAddress } from './page-shell.ts';

/** Path of a post's page. */
export const entryPath = (
  site: BlogSite,
  { slug, mainCategory, published }: Pick<BlogEntry, 'slug' | 'mainCategory' | 'published'>,
): string => postPath(site, { slug, category: mainCategory, date: published }) ?? `/${slug}`;

/** A day as readers of a language write it; the instant stands beside it for machines. */
export function dayWritten(instant: string, language: string): string {
  const time = Date.parse(instant);
  if (Number.isNaN(time)) return '';
  const format = { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' } as const;
  try {
    return new Intl.DateTimeFormat(language || 'en', format).format(time);
  } catch {
    // A tag that is none.
    return new Intl.DateTimeFormat('en', format).format(time);
  }
}

/** A picture with its pixels where they are known, so that nothing jumps as it comes. */
export const pictureElement = (
  { src, alt }: { src: string; alt: string },
  pixels: PicturePixels,
  more: Element['properties'] = {},
): Element => {
  const size = pixels.get(src);
  return el('img', { src, alt, ...(size ? { width: size.width, height: size.height } : {}), ...more });
};

/** What a post's page needs beside the post. */
export interface PostSurroundings {
  pixels: PicturePixels;
  related: readonly BlogEntry[];
  /** Path of an author's list. */
  authorPath: (author: string) => string;
  /** Whether readers can open a post at a path of the blog. */
  isThere: (path: string) => boolean;
}

/** The categories of a post that are the blog's own, with the one it stands in and that one's parent first. */
function trailOf(site: BlogSite, { mainCategory }: BlogEntry) {
  const own = site.categories.find(({ name }) => name === mainCategory);
  const parent = own?.parent ? site.categories.find(({ slug }) => slug === own.parent) : undefined;
  return [...(parent ? [parent] : []), ...(own ? [own] : [])];
}

/** Structured data of a post: the article, where it stands, and its questions where it ends with some. */
function dataOf(site: BlogSite, entry: BlogEntry, address: string): unknown[] {
  const trail = trailOf(site, entry);
  const picture = entry.sharePicture || entry.featured?.src;
  return [
    {
      '@context': 'https://schema.org',
      '@type': 'BlogPosting',
      headline: entry.title,
      description: entry.metaDescription || entry.excerpt || undefined,
      datePublished: entry.published || undefined,
      dateModified: entry.updated || undefined,
      author: entry.author ? { '@type': 'Person', name: entry.author } : undefined,
      image: picture ? wholeAddress(site, picture) : undefined,
      articleSection: entry.mainCategory || undefined,
      contentLocation: entry.place ? { '@type': 'Place', name: entry.place } : undefined,
      keywords: entry.categories.length > 0 ? entry.categories.join(', ') : undefined,
      inLanguage: entry.language || site.language,
      mainEntityOfPage: address,
      publisher: { '@type': 'Organization', name: site.name },
    },
    {
      '@context': 'https://schema.org',
      '@type': 'BreadcrumbList',
      itemListElement: [
        { name: site.name, path: '/' },
        ...trail.map(({ name, slug }) => ({ name, path: categoryPath(site, slug) })),
        { name: entry.title, path: entryPath(site, entry) },
      ].map(({ name, path }, at) => ({
        '@type': 'ListItem',
        position: at + 1,
        name,
        item: wholeAddress(site, path),
      })),
    },
    ...(entry.faq === null ? [] : [entry.faq]),
    ...(JSON.parse(
      recordingData(entry.recordings, {
        title: entry.title,
        description: entry.metaDescription || entry.excerpt,
        date: entry.published,
        picture: picture ? wholeAddress(site, picture) : '',
      }),
    ) as unknown[]),
  ];
}

/** A post's page in its languages: itself, and those that readers can open; none where there is no other. */
function languagesOf(site: BlogSite, entry: BlogEntry, isThere: (path: string) => boolean) {
  const others = entry.translations.filter(
    ({ address }) => !address.startsWith('/') || isThere(address.replace(/[?#].*$/, '')),
  );
  if (others.length === 0) return [];
  const own = { language: entry.language || site.language, address: entryPath(site, entry) };
  return [own, ...others].map(({ language, address }) => ({
    language,
    address: wholeAddress(site, address),
  }));
}

/** A post's page. */
export function postPage(
  site: BlogSite,
  entry: BlogEntry,
  { pixels, related, authorPath, isThere }: PostSurroundings,
): string {
  const address = wholeAddress(site, entryPath(site, entry));
  const language = entry.language || site.language;
  const title = effectiveMetaTitle(entry.metaTitle, entry.title, site.titlePattern, site.name);
  const minutes = readingMinutes(entry.words);
  const trail = trailOf(site, entry);
  const isCategory = (name: string) => site.categories.find((category) => category.name === name);
  const day = dayWritten(entry.published, language);
  const changed =
    entry.updated.slice(0, 10) > entry.published.slice(0, 10) ? dayWritten(entry.updated, language) : '';
  const byline = el(
    'p',
    { className: ['byline'] },
    entry.author
      ? el(
          'a',
          { className: ['p-author', 'h-card'], rel: ['author'], href: authorPath(entry.author) },
          entry.author,
        )
      : null,
    entry.author && day ? ' · ' : null,
    day ? el('time', { className: ['dt-published'], dateTime: entry.published }, day) : null,
    changed ? ' · changed ' : null,
    changed ? el('time', { className: ['dt-updated'], dateTime: entry.updated }, changed) : null,
    minutes === null ? null : ` · ${minutes} min`,
  );
  const filed = [entry.mainCategory, ...entry.categories].filter(Boolean);
  const article = el(
    'article',
    { className: ['h-entry'] },
    trail.length > 0
      ? el(
          'p',
          { className: ['trail'] },
          ...trail.flatMap(({ name, slug }, at) => [
            at > 0 ? ' › ' : null,
            el('a', { href: categoryPath(site, slug) }, name),
          ]),
        )
      : null,
    el('h1', { className: ['p-name'] }, entry.title),
    byline,
    entry.featured
      ? el(
          'figure',
          { className: ['featured'] },
          pictureElement(entry.featured, pixels, { className: ['u-featured'] }),
        )
      : null,
    // Written by this program itself, out of what it has read: it goes in as it is.
    el('div', { className: ['e-content'] }, { type: 'raw', value: entry.body }),
    filed.length > 0
      ? el(
          'div',
          { className: ['filed'] },
          el('span', {}, 'Filed under'),
          el(
            'ul',
            {},
            ...filed.map((name) => {
              const own = isCategory(name);
              return el(
                'li',
                { className: ['p-category'] },
                own ? el('a', { href: categoryPath(site, own.slug) }, name) : name,
              );
            }),
          ),
        )
      : null,
    el(
      'p',
      { className: ['share'] },
      el('a', { className: ['u-url'], href: address }, 'Link to this post'),
      ' · ',
      el(
        'a',
        { href: `mailto:?subject=${encodeURIComponent(entry.title)}&body=${encodeURIComponent(address)}` },
        'Send it by mail',
      ),
    ),
  );
  const further =
    related.length > 0
      ? el(
          'section',
          { className: ['related'] },
          el('h2', {}, 'Read on'),
          el(
            'ul',
            {},
            ...related.map((other) =>
              el(
                'li',
                {},
                el('a', { href: entryPath(site, other) }, other.title),
                other.excerpt ? el('span', {}, ` ${other.excerpt}`) : null,
              ),
            ),
          ),
        )
      : null;
  return pageHtml(
    site,
    {
      title: title || entry.title,
      description: entry.metaDescription || entry.excerpt,
      canonical: entry.canonical || address,
      robots: entry.robots,
      language,
      languages: languagesOf(site, entry, isThere),
      share: {
        title: entry.shareTitle || entry.title,
        description: entry.shareDescription || entry.metaDescription || entry.excerpt,
        picture: entry.sharePicture || entry.featured?.src || '',
        kind: 'article',
      },
      data: dataOf(site, entry, address),
    },
    [article, further],
  );
}
