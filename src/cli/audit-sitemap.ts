import {
  type AuditedPage,
  type AuditedPair,
  type AuditedPost,
  auditedPairs,
  auditedReport,
  checkPage,
  guessedKeyword,
  kindOfPage,
  type SearchFigures,
} from '../core/audit/index.ts';
import { DraftReadings, type Profile } from '../core/criteria/index.ts';
import { decodeText, type PostDocument, readHtml, UnreadableFile } from '../core/draft/index.ts';
import { documentOfPage, pageProblem, readSitemap } from '../core/formats/index.ts';
import { Vocabulary } from '../core/language/index.ts';
import { comparablePath } from '../core/listing/index.ts';
import { scorePost } from '../core/scoring/index.ts';
import {
  indexedPost,
  SiteIndex,
  type SiteSettings,
  translatedPost,
  translationGround,
  unknownSite,
} from '../core/site/index.ts';
import { type NetworkReader, networkReader } from '../server/fetch/network-reader.ts';
import { bytesOf } from './input.ts';
import { type AuditOptions, UsageError } from './options.ts';

/** Pages of a site that are read at most, and further sitemaps of an index. */
const MOST_PAGES = 2000;
const MOST_SITEMAPS = 50;

const isAddress = (path: string): boolean => /^https?:\/\//i.test(path);

/** Whether what was named is a sitemap: an address, or a file of XML. */
export const isSitemap = (path: string): boolean => isAddress(path) || /\.xml$/i.test(path);

interface ReadOne {
  path: string;
  html: string;
  document: PostDocument;
}

/** The addresses of a sitemap, those of the sitemaps that it names included. */
async function addressesOf(
  start: string,
  reader: NetworkReader,
  fail: (line: string) => void,
): Promise<string[]> {
  const addresses: string[] = [];
  const waiting = [start];
  const seen = new Set(waiting);
  while (waiting.length > 0 && seen.size <= MOST_SITEMAPS) {
    const named = waiting.shift()!;
    let text: string | null;
    if (isAddress(named)) {
      const read = await reader.file(named);
      text = read.text;
      if (read.text === null) fail(`${named}: ${read.problem}`);
    } else text = decodeText(bytesOf(named)).text;
    if (text === null) continue;
    try {
      const { pages, further } = readSitemap(text);
      addresses.push(...pages.map(({ address }) => address));
      for (const next of further)
        if (!seen.has(next)) {
          seen.add(next);
          waiting.push(next);
        }
    } catch (error) {
      if (!(error instanceof UnreadableFile)) throw error;
      fail(`${named} ${error.message}`);
    }
  }
  return [...new Set(addresses)];
}

/**
 * Reads the pages that a sitemap names, one after the other at the pace that their host bears, and judges them: what is an article as a
 * post, within the others, everything else as a page.
 */
export async function auditSitemap(
  options: AuditOptions,
  profile: Profile | null,
  figures: ReadonlyMap<string, SearchFigures>,
  fail: (line: string) => void,
  version: string,
): Promise<{ posts: AuditedPost[]; pages: AuditedPage[]; pairs: AuditedPair[] }> {
  const reader = networkReader(
    `DuneSparrow/${version} (a writer's own program)`,
    process.env['ALLOW_HOSTS'] ?? '',
  );
  const addresses = await addressesOf(options.path, reader, fail);
  if (addresses.length === 0) throw new UsageError(`${options.path} names no page.`);
  if (addresses.length > MOST_PAGES)
    fail(`${options.path} names ${addresses.length} pages; ${MOST_PAGES} are read.`);
  const reads: ReadOne[] = [];
  for (const address of addresses.slice(0, MOST_PAGES)) {
    const answer = isAddress(address) ? await reader.page(address) : null;
    const path = comparablePath(answer?.found ?? address);
    if (!answer || answer.problem || path === null)
      fail(`${address}: ${answer?.problem || 'It is no address.'}`);
    else if (answer.format === 'html' && !reads.some((read) => read.path === path))
      reads.push({ path, html: answer.text, document: readHtml(answer.text) });
  }
  return judged(reads, options, profile, figures, addresses);
}

/** The origin of the first of the addresses that has one; empty: none has. */
const originOf = (addresses: readonly string[]): string => {
  const first = addresses.find(isAddress);
  return first && URL.canParse(first) ? new URL(first).origin : '';
};

function judged(
  reads: readonly ReadOne[],
  options: AuditOptions,
  profile: Profile | null,
  figures: ReadonlyMap<string, SearchFigures>,
  addresses: readonly string[],
): { posts: AuditedPost[]; pages: AuditedPage[]; pairs: AuditedPair[] } {
  const site: SiteSettings = {
    ...unknownSite(),
    baseAddress: options.site ?? originOf(addresses),
    titlePattern: options.titlePattern,
    profile,
    pages: addresses.map((address) => ({ address })),
  };
  const entries = reads.map(({ path, html, document }) => {
    const kind = kindOfPage(path, html);
    const article = kind === 'other' ? documentOfPage({ format: 'html', text: html }) : null;
    const isPost = article !== null && pageProblem(article) === '';
    // What it wants to be found for nobody has said: what search finds it for most is the best guess, its address the next.
    const keyword =
      figures.get(path)?.topQuery || (isPost ? guessedKeyword(path, document.fields.title) : '');
    const own = isPost ? { fields: { ...document.fields }, draft: article.draft } : document;
    return { path, kind, isPost, document: { ...own, fields: { ...own.fields, keyword, canonical: path } } };
  });
  const index = new SiteIndex(
    site,
    entries.map(({ path, document }) => indexedPost(path, document)),
  );
  const scene = { site, index, pictures: new Map(), studies: new Map(), year: new Date().getFullYear() };
  const vocabulary = new Vocabulary();
  const posts: AuditedPost[] = [];
  const pages: AuditedPage[] = [];
  for (const { path, kind, isPost, document } of entries) {
    if (isPost) {
      const scored = scorePost(document, indexedPost(path, document), scene, new DraftReadings(vocabulary));
      posts.push(auditedReport(path, { ...document.fields, status: 'published' }, path, scored, figures));
    } else {
      const { faults } = checkPage(path, document, kind, scene);
      pages.push({
        path,
        title: document.fields.title || path,
        kind,
        faults: faults.map(({ title }) => title),
      });
    }
  }
  return { posts, pages, pairs: pairsOf(reads, site) };
}

/** Pages in several languages that do not name each other: what was read of their heads, posts and others alike. */
const pairsOf = (reads: readonly ReadOne[], site: SiteSettings): AuditedPair[] =>
  auditedPairs(
    reads.map(({ path, document: { fields } }) => {
      const page = translatedPost(path, fields, { ...site, language: '' }, () => true);
      // What names another page as its original is passed over for that one, with all that it names.
      const isCopy = fields.canonical !== '' && comparablePath(fields.canonical) !== path;
      return {
        ...page,
        title: fields.title || fields.metaTitle || path,
        path,
        address: path,
        hidden: page.hidden || isCopy,
      };
    }),
    translationGround(site, []),
  );
