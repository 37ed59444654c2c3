import type { Element, Root } from 'hast';
import { cleanFields } from './clean-draft.ts';
import { attribute, classNames, findElement, textOf } from './hast-reading.ts';
import { emptyFields, type PostFields } from './post-fields.ts';
import { translationIn, translationText } from './translations.ts';

/** Text on one line. */
export const collapse = (text: string) => text.replace(/\s+/g, ' ').trim();

/** Names of the `meta` elements in which an exported page keeps what no standard one holds. */
export const OWN_META = {
  slug: 'dune-sparrow:slug',
  keyword: 'dune-sparrow:keyword',
  supporting: 'dune-sparrow:supporting',
  excerpt: 'dune-sparrow:excerpt',
  categories: 'dune-sparrow:category',
  metaTitle: 'dune-sparrow:meta-title',
  image: 'dune-sparrow:featured-picture',
  shareTitle: 'dune-sparrow:share-title',
  shareDescription: 'dune-sparrow:share-description',
  shareImage: 'dune-sparrow:share-picture',
  comments: 'dune-sparrow:comments',
  place: 'dune-sparrow:place',
} as const;

/** Classes by which what an exported page shows is known again: the featured picture, embeds, the next step. */
export const FEATURED = 'featured';
export const EMBED = 'embed';
export const NEXT_STEP = 'next-step';

/** The last segment of an address's path, decoded; empty where there is none. */
export function lastSegment(address: string): string {
  const path = address.replace(/^[a-z]+:\/\/[^/]*/i, '').replace(/[?#].*$/, '');
  const last = path.split('/').filter(Boolean).at(-1) ?? '';
  try {
    return decodeURIComponent(last);
  } catch {
    return last;
  }
}

/** A zone or an offset at the end of a date: "Z", "GMT", "EST", "+02:00". */
const ZONED = /(?:\b(?:Z|UT|UTC|GMT|[ECMP][SD]T)|\dZ|:\d\d ?[+-]\d\d:?\d\d| [+-]\d{4})$/;
const ISO_DAY = /^\d{4}-\d\d-\d\d$/;

/**
 * A date as an RFC 3339 instant; empty where it is none. One that names no zone ("May 1, 2024") is that day, and that
 * time, in UTC, wherever it is read.
 */
export function instantOf(text: string): string {
  const trimmed = text.trim();
  if (!/\d{4}/.test(trimmed)) return '';
  const iso = /^\d{4}-\d\d-\d\dT/.test(trimmed);
  const zoned = ZONED.test(trimmed) || ISO_DAY.test(trimmed);
  const time = Date.parse(zoned ? trimmed : iso ? `${trimmed}Z` : `${trimmed} UTC`);
  return Number.isNaN(time) ? '' : new Date(time).toISOString().replace('.000Z', 'Z');
}

const metaContents = (head: Element, ...names: string[]): string[] => {
  const found: string[] = [];
  findElement(head, (el) => {
    if (el.tagName !== 'meta') return false;
    const name = (attribute(el, 'name') ?? attribute(el, 'property') ?? '').toLowerCase();
    const content = collapse(attribute(el, 'content') ?? '');
    if (names.includes(name) && content) found.push(content);
    return false;
  });
  return found;
};

/** What a page states of itself as structured data (JSON-LD): the first article in it. */
function articleData(tree: Root): Record<string, unknown> {
  let article: Record<string, unknown> = {};
  findElement(tree, (el) => {
    if (el.tagName !== 'script' || attribute(el, 'type') !== 'application/ld+json') return false;
    try {
      const data = JSON.parse(textOf(el)) as Record<string, unknown> | null;
      const found = [data, data?.['@graph']]
        .flat()
        .map((one) => one as Record<string, unknown> | null | undefined)
        .find((one) => /Article|BlogPosting/.test(String(one?.['@type'])));
      if (!found) return false;
      article = found;
      return true;
    } catch {
      // Broken structured data tells nothing.
      return false;
    }
  });
  return article;
}

const textIn = (value: unknown): string => {
  const one = Array.isArray(value) ? value[0] : value;
  if (typeof one === 'string') return collapse(one);
  const inner = one as { name?: unknown; url?: unknown } | null;
  return typeof inner?.name === 'string'
    ? collapse(inner.name)
    : typeof inner?.url === 'string'
      ? inner.url
      : '';
};

const listIn = (value: unknown): string[] =>
  (Array.isArray(value) ? value.map(textIn) : textIn(value).split(',')).map(collapse).filter(Boolean);

/** The pages in other languages that a head names; not the page itself, nor the one for everybody else. */
function translationsOf(head: Element, own: string): string[] {
  const found: string[] = [];
  findElement(head, (el) => {
    const language = attribute(el, 'hrefLang');
    const address = attribute(el, 'href');
    if (el.tagName !== 'link' || !classNames(el, 'rel').includes('alternate') || !language || !address)
      return false;
    const named = language.toLowerCase();
    const item = translationText({ language, address });
    if (named !== 'x-default' && named !== own.toLowerCase() && translationIn(item)) found.push(item);
    return false;
  });
  return found;
}

/** The fields that a page tells in its head, its structured data and the times it marks. */
export function headFields(tree: Root): PostFields {
  const fields = emptyFields();
  const page = findElement(tree, (el) => el.tagName === 'html');
  const head = page ? findElement(page, (el) => el.tagName === 'head') : null;
  if (page) fields.language = attribute(page, 'lang') ?? '';
  if (!head) return fields;
  const first = (...names: string[]) => metaContents(head, ...names)[0] ?? '';
  const title = findElement(head, (el) => el.tagName === 'title');
  if (title) fields.metaTitle = collapse(textOf(title));
  fields.metaDescription = first('description');
  const canonical = findElement(
    head,
    (el) => el.tagName === 'link' && classNames(el, 'rel').includes('canonical'),
  );
  fields.canonical = canonical ? (attribute(canonical, 'href') ?? '') : '';
  fields.translations = translationsOf(head, fields.language);
  fields.slug = first(OWN_META.slug) || lastSegment(fields.canonical);
  fields.keyword = first(OWN_META.keyword);
  fields.supporting = metaContents(head, OWN_META.supporting);
  fields.excerpt = first(OWN_META.excerpt);
  fields.categories = metaContents(head, OWN_META.categories);
  const bare = findElement(
    head,
    (el) => el.tagName === 'meta' && attribute(el, 'name') === OWN_META.metaTitle,
  );
  if (bare) fields.metaTitle = collapse(attribute(bare, 'content') ?? '');
  const data = articleData(tree);
  const marked = findElement(tree, (el) => el.tagName === 'time' && attribute(el, 'dateTime') !== undefined);
  fields.shareTitle = first(OWN_META.shareTitle);
  fields.shareDescription = first(OWN_META.shareDescription);
  fields.shareImage = first(OWN_META.shareImage);
  fields.robots = first('robots');
  fields.comments = first(OWN_META.comments);
  fields.place = first(OWN_META.place);
  const shared = first('og:image');
  // With a picture of its own for shares, a page says apart which one is featured.
  fields.image = first(OWN_META.image) || (fields.shareImage !== '' ? '' : shared || textIn(data['image']));
  fields.author = first('author', 'article:author') || textIn(data['author']);
  fields.date =
    instantOf(first('article:published_time', 'date')) ||
    instantOf(textIn(data['datePublished'])) ||
    instantOf(marked ? (attribute(marked, 'dateTime') ?? '') : '');
  fields.updated = instantOf(first('article:modified_time')) || instantOf(textIn(data['dateModified']));
  fields.category = first('article:section') || textIn(data['articleSection']);
  fields.tags = metaContents(head, 'article:tag');
  if (fields.tags.length === 0) fields.tags = listIn(data['keywords']);
  return cleanFields(fields);
}
