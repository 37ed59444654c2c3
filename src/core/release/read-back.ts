import {
  type Block,
  type Draft,
  type PostDocument,
  type PostFields,
  readArticle,
  readHtml,
  type Translation,
  translationsIn,
} from '../draft/index.ts';
import { isSameLanguage, languageName, sentenceBreaks } from '../language/index.ts';

/** Something in which a page differs from the post that was sent. */
export interface ReadBackFault {
  id:
    | 'title'
    | 'heading'
    | 'description'
    | 'canonical'
    | 'robots'
    | 'language'
    | 'languages'
    | 'words'
    | 'pictures'
    | 'alt'
    | 'links'
    | 'data';
  /** One or two sentences: what differs, and what to do. */
  text: string;
}

/** A page as its readers get it, beside the post that was sent. */
export interface ReadBack {
  /** What was read of it: fields of its head, and its article. */
  document: PostDocument;
  faults: ReadBackFault[];
}

/** What the page should say of itself. */
export interface Expected {
  /** Meta title with the site's pattern. */
  metaTitle: string;
  /** Its own address, or the one that search shall take. */
  canonical: string;
  /** The language of the post or its site; empty: nobody said. */
  language: string;
  /** Pages in other languages that readers can open: those that the page should name. */
  translations: readonly Translation[];
}

const ARTICLE_DATA = /"@type"\s*:\s*(?:\[[^\]]*)?"(?:\w*Article|BlogPosting)"/;

/** Letters and figures alone: quotes, dashes and spaces are set anew by many blogs. */
const bare = (text: string): string =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

function sentencesOf({ blocks }: Draft): string[] {
  return blocks.flatMap(({ text, kind }) => {
    if (kind === 'code' || text.trim() === '') return [];
    const from = [0, ...sentenceBreaks(text)];
    return from.map((at, index) => text.slice(at, from[index + 1]).trim()).filter((one) => bare(one) !== '');
  });
}

const pictures = ({ blocks }: Draft) => blocks.flatMap(({ image }) => (image ? [image] : []));

const linksOf = ({ marks }: Block): string[] =>
  marks.flatMap(({ type, href }) => (type === 'link' && href && !href.startsWith('#') ? [href] : []));

const shortened = (text: string): string => (text.length > 80 ? `${text.slice(0, 77).trimEnd()}…` : text);

/** Addresses are the same whether the blog writes its host before a path or not, with a closing slash or without. */
function sameAddress(href: string, base: string): string {
  try {
    const url = new URL(href, base);
    const path = `${url.pathname.replace(/\/$/, '')}${url.search}`;
    return url.host === new URL(base).host ? path : `${url.host}${path}`;
  } catch {
    return href;
  }
}

/** Languages that a page says wrong, or does not name: search then takes each for a post of its own. */
function languageFaults(page: PostFields, expected: Expected, address: string): ReadBackFault[] {
  const faults: ReadBackFault[] = [];
  if (page.language && expected.language && !isSameLanguage(page.language, expected.language))
    faults.push({
      id: 'language',
      text: `The page says that it is in ${languageName(page.language)}; the post is in ${languageName(expected.language)}. Look into the settings of the blog.`,
    });
  const named = new Set(
    translationsIn(page.translations).map(
      (one) => `${one.language.toLowerCase()} ${sameAddress(one.address, address)}`,
    ),
  );
  const lost = expected.translations.filter(
    (one) => !named.has(`${one.language.toLowerCase()} ${sameAddress(one.address, address)}`),
  );
  if (lost.length > 0)
    faults.push({
      id: 'languages',
      text: `The page does not name the same in ${lost.map(({ language, address: at }) => `${languageName(language)} (${shortened(at)})`).join(', ')}: search takes the two for posts of their own.`,
    });
  return faults;
}

function headFaults(
  { fields }: PostDocument,
  sent: PostDocument,
  expected: Expected,
  html: string,
): ReadBackFault[] {
  const faults: ReadBackFault[] = [];
  if (bare(fields.metaTitle) !== bare(expected.metaTitle))
    faults.push({
      id: 'title',
      text:
        fields.metaTitle === ''
          ? 'The page has no title for the results.'
          : `The title in the results is “${shortened(fields.metaTitle)}”, not “${shortened(expected.metaTitle)}”: the blog has a pattern of its own.`,
    });
  const description = sent.fields.metaDescription.trim();
  if (description && bare(fields.metaDescription) !== bare(description))
    faults.push({
      id: 'description',
      text:
        fields.metaDescription === ''
          ? 'The meta description is not on the page.'
          : `Another meta description stands there: “${shortened(fields.metaDescription)}”.`,
    });
  if (expected.canonical && fields.canonical !== expected.canonical)
    faults.push({
      id: 'canonical',
      text: fields.canonical
        ? `Search is told that the original stands at ${fields.canonical}, not at ${expected.canonical}.`
        : 'The page names no canonical address.',
    });
  const isHidden = /\bnoindex\b/i.test(fields.robots);
  if (isHidden !== /\bnoindex\b/i.test(sent.fields.robots))
    faults.push({
      id: 'robots',
      text: isHidden
        ? 'The page asks search not to show it. Look into the settings of the blog.'
        : 'Search may show the page though the post asks it not to.',
    });
  if (!ARTICLE_DATA.test(html))
    faults.push({ id: 'data', text: 'The page has no structured data of an article.' });
  return faults;
}

function bodyFaults(page: PostDocument, sent: PostDocument, address: string): ReadBackFault[] {
  const faults: ReadBackFault[] = [];
  const words = ` ${page.draft.blocks.map(({ text }) => bare(text)).join(' ')} `;
  const title = bare(sent.fields.title);
  if (title && bare(page.fields.title) !== title && !words.includes(` ${title} `))
    faults.push({
      id: 'heading',
      text: page.fields.title
        ? `The heading of the page is “${shortened(page.fields.title)}”.`
        : 'The title does not stand on the page.',
    });
  const lost = sentencesOf(sent.draft).filter((sentence) => !words.includes(` ${bare(sentence)} `));
  if (lost.length > 0)
    faults.push({
      id: 'words',
      text: `${lost.length === 1 ? 'One sentence is' : `${lost.length} sentences are`} not on the page as sent: “${shortened(lost[0])}”.`,
    });
  const [own, there] = [pictures(sent.draft), pictures(page.draft)];
  if (there.length < own.length)
    faults.push({
      id: 'pictures',
      text: `${own.length - there.length} of ${own.length} pictures ${own.length - there.length === 1 ? 'is' : 'are'} not on the page.`,
    });
  const alts = new Set(there.map(({ alt }) => bare(alt ?? '')));
  const altLost = own.filter(({ alt }) => alt && !alts.has(bare(alt)));
  if (altLost.length > 0 && there.length >= own.length)
    faults.push({
      id: 'alt',
      text: `The alt text “${shortened(altLost[0].alt ?? '')}”${altLost.length > 1 ? ` and ${altLost.length - 1} more` : ''} did not come along.`,
    });
  const led = new Set(page.draft.blocks.flatMap(linksOf).map((href) => sameAddress(href, address)));
  const linkLost = sent.draft.blocks.flatMap(linksOf).filter((href) => !led.has(sameAddress(href, address)));
  if (linkLost.length > 0)
    faults.push({
      id: 'links',
      text: `${linkLost.length === 1 ? 'A link' : `${linkLost.length} links`} did not come along: ${shortened(linkLost[0])}.`,
    });
  return faults;
}

/**
 * Reads a page back as its readers get it and tells in what it differs from the post that was sent: its head first, then title,
 * words, pictures and links. `address` is where it was read. Quotes and spaces that a blog sets anew are no difference.
 */
export function readBack(html: string, address: string, sent: PostDocument, expected: Expected): ReadBack {
  const document = readArticle(html);
  // What an article of somebody else's would be pruned by - a list that is all links, say - is ours here: all of the page counts.
  const whole = readHtml(html);
  return {
    document,
    faults: [
      ...headFaults(document, sent, expected, html),
      ...languageFaults(whole.fields, expected, address),
      ...bodyFaults({ fields: document.fields, draft: whole.draft }, sent, address),
    ],
  };
}
