import {
  cleanFields,
  emptyFields,
  instantOf,
  lastSegment,
  type NextId,
  type PostDocument,
  readHtml,
} from '../draft/index.ts';
import { elementsOf, innerMarkup, localName, textOfChild, type XmlElement, xmlRoot } from './read-xml.ts';

/** One entry of a feed. */
export interface FeedEntry {
  title: string;
  address: string;
  /** Null: the feed has no more than a summary of it. */
  document: PostDocument | null;
}

/** Words from which a plain description is the text itself rather than a summary. */
const FULL_TEXT = 200;

const resolved = (address: string, base: string): string => {
  try {
    return new URL(address, base || undefined).href;
  } catch {
    return address;
  }
};

const plain = (html: string) =>
  html
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** Title of an entry: markup and references in it are read as a reader would see them. */
const titleOf = (text: string): string =>
  /[<&]/.test(text)
    ? readHtml(`<p>${text}</p>`)
        .draft.blocks.map((block) => block.text)
        .join(' ')
    : text.replace(/\s+/g, ' ');

function atomContent(entry: XmlElement, name: string): string {
  const [content] = elementsOf(entry, name);
  if (!content) return '';
  return content.attributes['type'] === 'xhtml' ? innerMarkup(content) : content.text.trim();
}

const atomLink = (entry: XmlElement): string => {
  const links = elementsOf(entry, 'link');
  const own = links.find(({ attributes }) => (attributes['rel'] ?? 'alternate') === 'alternate') ?? links[0];
  return own?.attributes['href'] ?? '';
};

/** The picture that an entry shows beside its text. */
const pictureOf = (entry: XmlElement): string =>
  [
    ...elementsOf(entry, 'enclosure'),
    ...elementsOf(entry, 'media:content'),
    ...elementsOf(entry, 'media:thumbnail'),
  ]
    .filter(({ attributes }) => !attributes['type'] || attributes['type'].startsWith('image/'))
    .map(({ attributes }) => attributes['url'] ?? '')
    .find(Boolean) ?? '';

/**
 * Reads a feed (RSS 0.9 to 2.0, Atom): its entries with title and address, and as posts where it holds their full
 * text, keeping address, dates, categories, author and picture. Throws `UnreadableFile`.
 */
export function readFeed(text: string, nextId: NextId): FeedEntry[] {
  const root = xmlRoot(text);
  const atom = localName(root) === 'feed';
  const channel = atom ? root : (elementsOf(root, 'channel')[0] ?? root);
  const base = atom ? atomLink(root) : textOfChild(channel, 'link');
  const entries = atom
    ? elementsOf(root, 'entry')
    : [...elementsOf(channel, 'item'), ...(channel === root ? [] : elementsOf(root, 'item'))];
  return entries.map((entry): FeedEntry => {
    const guid = elementsOf(entry, 'guid')[0];
    const permalink = guid && guid.attributes['isPermaLink'] !== 'false' ? guid.text.trim() : '';
    const link = atom ? atomLink(entry) : textOfChild(entry, 'link') || permalink;
    const address = link ? resolved(link, base) : '';
    const title = titleOf(textOfChild(entry, 'title'));
    const summary = atom ? atomContent(entry, 'summary') : textOfChild(entry, 'description');
    const given = atom ? atomContent(entry, 'content') : textOfChild(entry, 'content:encoded');
    const content = given || (plain(summary).split(' ').length >= FULL_TEXT ? summary : '');
    if (!content) return { title, address, document: null };
    const { draft } = readHtml(content, nextId);
    const categories = elementsOf(entry, 'category')
      .map((one) => one.attributes['label'] ?? one.attributes['term'] ?? one.text.trim())
      .filter(Boolean);
    const fields = emptyFields();
    fields.title = title;
    fields.canonical = address;
    fields.slug = lastSegment(address);
    fields.status = 'published';
    fields.date = instantOf(
      textOfChild(entry, 'published') || textOfChild(entry, 'pubDate') || textOfChild(entry, 'dc:date'),
    );
    fields.updated = instantOf(textOfChild(entry, 'updated'));
    const [author] = elementsOf(entry, 'author');
    fields.author =
      (atom ? (author && textOfChild(author, 'name')) || '' : textOfChild(entry, 'dc:creator')) ||
      (author?.text.trim() ?? '');
    [fields.category = '', ...fields.categories] = categories;
    fields.language = channel.attributes['xml:lang'] ?? textOfChild(channel, 'language');
    fields.excerpt = summary && content !== summary ? plain(titleOf(summary)) : '';
    fields.image = pictureOf(entry);
    return { title, address, document: { fields: cleanFields(fields), draft } };
  });
}
