import { decodeText, type NextId, type ReadPost, readPostFile } from '../draft/index.ts';
import type { SitePage } from '../site/index.ts';
import { looksLikeAddresses, readAddressList } from './address-list.ts';
import { readFeed } from './feed.ts';
import { readSitemap } from './sitemap.ts';

/** What a file brings into a site. */
export interface Incoming {
  /** As a reader calls it, e.g. `Markdown`, `sitemap`. */
  kind: string;
  posts: Omit<ReadPost, 'format' | 'notes'>[];
  pages: SitePage[];
  /** What was guessed or left out, each a sentence. */
  notes: string[];
}

const KINDS = { markdown: 'Markdown', html: 'HTML', text: 'text', docx: '.docx' };

const many = (n: number, one: string, more = `${one}s`) => `${n} ${n === 1 ? one : more}`;

/**
 * Reads a file as what it is: a post, a feed, a sitemap, or a list of addresses. Throws `UnreadableFile`.
 */
export async function readIncoming(bytes: Uint8Array, name: string, nextId: NextId): Promise<Incoming> {
  if (/\.(?:xml|rss|atom|csv|tsv|txt)$/i.test(name)) {
    const { text, notes } = decodeText(bytes, 50_000_000);
    const root = /<(urlset|sitemapindex|rss|feed|rdf:RDF)[\s>]/i.exec(text.slice(0, 4000))?.[1].toLowerCase();
    if (root === 'urlset' || root === 'sitemapindex') return fromSitemap(text, notes);
    if (root && !/\.(?:csv|tsv)$/i.test(name)) return fromFeed(text, notes, nextId);
    if (/\.(?:csv|tsv)$/i.test(name) || looksLikeAddresses(text)) return fromAddresses(text, notes);
  }
  const { format, notes, ...post } = await readPostFile(bytes, name, nextId);
  return { kind: KINDS[format], posts: [post], pages: [], notes };
}

/** Reads a pasted list of addresses. Throws `UnreadableFile`. */
export const fromAddresses = (text: string, notes: string[] = []): Incoming => {
  const { pages, problems } = readAddressList(text);
  return { kind: 'list of addresses', posts: [], pages, notes: [...notes, ...problems] };
};

function fromSitemap(text: string, notes: string[]): Incoming {
  const { pages, further } = readSitemap(text);
  const next = further.length
    ? [
        `It names ${many(further.length, 'further sitemap')} and no page itself. Bring those: ${further.slice(0, 3).join(', ')}.`,
      ]
    : [];
  return { kind: 'sitemap', posts: [], pages, notes: [...notes, ...next] };
}

function fromFeed(text: string, notes: string[], nextId: NextId): Incoming {
  const entries = readFeed(text, nextId);
  const short = entries.filter((entry) => entry.document === null);
  return {
    kind: 'feed',
    posts: entries.flatMap(({ document }) => (document ? [{ ...document, pictures: new Map() }] : [])),
    pages: short.flatMap(({ address, title }) => (address ? [{ address, ...(title ? { title } : {}) }] : [])),
    notes: short.length
      ? [
          ...notes,
          `${many(short.length, 'entry has', 'entries have')} a summary only; ${short.length === 1 ? 'its address became a page' : 'their addresses became pages'}.`,
        ]
      : notes,
  };
}
