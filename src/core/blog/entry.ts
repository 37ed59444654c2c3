import {
  draftedExcerpt,
  emptyFields,
  faqData,
  faqEntries,
  type PostDocument,
  type PostFields,
  readHtml,
  recordingsOf,
  translationsIn,
  translationText,
  wordsIn,
  writeHtml,
} from '../draft/index.ts';
import { slugOf } from '../listing/index.ts';
import type { BlogEntry, BlogPicture, PicturePixels } from './blog.ts';
import { pageBody } from './page-body.ts';

/** Properties of an `h-entry` (microformats2 as JSON): each a list of values. */
export type EntryProperties = Record<string, unknown[]>;

const filled = (values: Record<string, unknown>): EntryProperties =>
  Object.fromEntries(
    Object.entries(values).flatMap(([name, value]) => {
      const list = (Array.isArray(value) ? value : [value]).filter(
        (one) => one !== '' && one !== null && one !== undefined,
      );
      return list.length > 0 ? [[name, list]] : [];
    }),
  );

const pictureValue = (src: string, alt: string | null): { value: string; alt: string } | null =>
  src ? { value: src, alt: alt ?? '' } : null;

/** Properties that a post has when they are filled: what is not among those of a post that is sent again has become empty. */
export const ENTRY_PROPERTIES: readonly string[] = [
  'name',
  'content',
  'summary',
  'category',
  'main-category',
  'published',
  'updated',
  'author',
  'featured',
  'meta-title',
  'meta-description',
  'canonical',
  'robots',
  'comments',
  'location',
  'share-title',
  'share-description',
  'share-photo',
  'language',
  'translation',
];

/**
 * A post as the properties by which it is handed to a blog: those of `h-entry`, and beside them what no standard one holds
 * (`meta-title`, `meta-description`, `canonical`, `share-title`, `share-description`, `share-photo`, `main-category`). What the
 * brief asks for stays here.
 */
export function entryProperties(uid: string, { fields, draft }: PostDocument): EntryProperties {
  return filled({
    uid,
    name: fields.title,
    content: { html: writeHtml(draft) },
    summary: fields.excerpt,
    category: [...new Set([fields.category, ...fields.categories, ...fields.tags])],
    'main-category': fields.category,
    published: fields.date,
    updated: fields.updated,
    author: fields.author,
    featured: pictureValue(fields.image, fields.imageAlt),
    'post-status': fields.status === 'published' ? 'published' : 'draft',
    'mp-slug': slugOf(fields.slug),
    'meta-title': fields.metaTitle,
    'meta-description': fields.metaDescription,
    canonical: fields.canonical,
    robots: fields.robots,
    comments: fields.comments,
    location: fields.place,
    'share-title': fields.shareTitle,
    'share-description': fields.shareDescription,
    'share-photo': fields.shareImage,
    language: fields.language,
    translation: fields.translations,
  });
}

/** The values of a property: none for a word that only objects know (`constructor`). */
export const valuesOf = (properties: EntryProperties, name: string): unknown[] =>
  Object.hasOwn(properties, name) ? properties[name] : [];

const first = (properties: EntryProperties, name: string): unknown => valuesOf(properties, name)[0];

/** The first value of a property as text; what is an object there has its value, its text or its name. */
export function textOfProperty(properties: EntryProperties, name: string): string {
  const value = first(properties, name);
  if (typeof value === 'string') return value.trim();
  if (typeof value === 'number') return String(value);
  const inner = (value ?? {}) as { value?: unknown; text?: unknown; properties?: EntryProperties };
  for (const one of [inner.value, inner.text]) if (typeof one === 'string') return one.trim();
  return inner.properties ? textOfProperty(inner.properties, 'name') : '';
}

const textsOf = (properties: EntryProperties, name: string): string[] =>
  valuesOf(properties, name).flatMap((one) => (typeof one === 'string' && one.trim() ? [one.trim()] : []));

function pictureOf(properties: EntryProperties, name: string): BlogPicture | null {
  const src = textOfProperty(properties, name);
  const alt = (first(properties, name) as { alt?: unknown } | null)?.alt;
  return src ? { src, alt: typeof alt === 'string' ? alt : '' } : null;
}

/** The HTML of an entry's content; plain text becomes paragraphs. */
function contentOf(properties: EntryProperties): string {
  const content = first(properties, 'content');
  const html = (content as { html?: unknown } | null)?.html;
  if (typeof html === 'string') return html;
  return textOfProperty(properties, 'content')
    .split(/\n{2,}/)
    .map((part) => `<p>${part.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/\n/g, '<br>')}</p>`)
    .join('\n');
}

/** The fields of a post out of an entry: what a blog holds of it, the brief aside. */
function fieldsOf(properties: EntryProperties): PostFields {
  const text = (name: string) => textOfProperty(properties, name);
  return {
    ...emptyFields(),
    title: text('name'),
    metaTitle: text('meta-title'),
    metaDescription: text('meta-description'),
    slug: slugOf(text('mp-slug')),
    canonical: text('canonical'),
    excerpt: text('summary'),
    category: text('main-category'),
    author: text('author'),
    date: text('published'),
    updated: text('updated'),
    language: text('language'),
    translations: translationsIn(textsOf(properties, 'translation')).map(translationText),
  };
}

/** A post as an entry tells of it, for a comparison with the one that is written here. */
export const postOfEntry = (properties: EntryProperties): PostDocument => ({
  fields: fieldsOf(properties),
  draft: readHtml(`<article>${contentOf(properties)}</article>`).draft,
});

/**
 * A post's page out of the properties that a blog was handed. Its content is read as any page from elsewhere is: structure and
 * words come in, nothing that could run. An entry without a name is called by its first words.
 */
export function blogEntry(
  properties: EntryProperties,
  slug: string,
  pixels: PicturePixels = new Map(),
): BlogEntry {
  const fields = fieldsOf(properties);
  const { draft } = readHtml(`<article>${contentOf(properties)}</article>`);
  const faq = faqEntries(draft);
  const opening = draft.blocks.find(({ text }) => text !== '')?.text ?? '';
  return {
    uid: textOfProperty(properties, 'uid') || slug,
    slug,
    title: fields.title || opening.slice(0, 60),
    metaTitle: fields.metaTitle,
    metaDescription: fields.metaDescription,
    canonical: fields.canonical,
    robots: textOfProperty(properties, 'robots'),
    // Lists show what stands above the mark, or the opening, where nothing was written for them.
    excerpt: fields.excerpt || draftedExcerpt(draft),
    html: writeHtml(draft),
    body: pageBody(draft, pixels),
    words: draft.blocks.reduce((sum, { text }) => sum + wordsIn(text), 0),
    faq: faq.length > 0 ? (JSON.parse(faqData(faq)) as unknown) : null,
    recordings: recordingsOf(draft),
    author: fields.author,
    mainCategory: fields.category,
    categories: textsOf(properties, 'category').filter((name) => name !== fields.category),
    published: fields.date,
    updated: fields.updated || fields.date,
    featured: pictureOf(properties, 'featured') ?? pictureOf(properties, 'photo'),
    shareTitle: textOfProperty(properties, 'share-title'),
    shareDescription: textOfProperty(properties, 'share-description'),
    sharePicture: textOfProperty(properties, 'share-photo'),
    language: fields.language,
    translations: translationsIn(fields.translations),
    place: textOfProperty(properties, 'location'),
  };
}
