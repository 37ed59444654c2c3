import { comparablePath } from '../../core/listing/index.ts';
import {
  type BadRow,
  type ColumnMapping,
  defaultResearchRules,
  type FigureSource,
  freshIdeas,
  type IdeaDraft,
  type Intent,
  ideasFromClusters,
  ideasFromHeadings,
  ideasFromOffer,
  ideasFromTitles,
  type Keyword,
  KeywordRows,
  type KnownPost,
  type NearWin,
  nearWins,
  type OwnPage,
  type PerformanceColumn,
  PerformanceRows,
  siteStems,
  tableBatches,
  writeKeywordTable,
} from '../../core/research/index.ts';
import { pathOfPost, researchRulesOf } from '../../core/site/index.ts';
import { database, openDatabase, type PostRow, type SiteRow } from '../data/database.ts';
import { ideasOf } from '../data/ideas.ts';
import { keywordStamp, readKeywords, writeKeywords } from '../data/keyword-chunks.ts';
import { readPerformanceRows, writePerformanceRows } from '../data/performance-chunks.ts';
import { postsOf, StaleWrite } from '../data/posts.ts';
import {
  type ClusterLine,
  type DeskView,
  type DeskWish,
  type FoundLine,
  type KeywordDetail,
  type KeywordLine,
  ResearchDesk,
} from './research-desk.ts';

/** How a table's columns and figures are to be read. */
export interface TableReading {
  delimiter: string;
  /** Whether the first line names the columns. */
  headed: boolean;
  mapping: ColumnMapping;
  region: string;
  source: FigureSource;
}

/** What came of an import. */
export interface ImportResult {
  taken: number;
  fresh: number;
  merged: number;
  bad: number;
  /** The first of the bad rows. */
  examples: BadRow[];
  stopped: boolean;
}

/** Told how far a long job is, 0-1. */
type Tell = (done: number) => void;

/** Bad rows that are named one by one; the rest are counted. */
const MOST_NAMED = 100;
const BATCH = 5000;
/** Clusters and pages that a screen lists. */
const MOST_LINES = 2000;

let open: { siteId: string; stamp: number; desk: ResearchDesk } | null = null;
let stop = false;
const remembered = new Map<string, Keyword[]>();

/** Lets waiting messages in: one of them may say to stop. */
const breath = () => new Promise<void>((resolve) => setTimeout(resolve));

/** Gives every row of a table to be taken; false where it was stopped. */
async function takeRows(
  text: string,
  { delimiter, headed }: TableReading,
  rows: { take(cells: readonly string[], line: number): void },
  tell: Tell,
): Promise<boolean> {
  stop = false;
  for (const batch of tableBatches(text, delimiter, BATCH)) {
    batch.rows.forEach((cells, at) => {
      if (batch.lines[at] > 1 || !headed) rows.take(cells, batch.lines[at]);
    });
    tell(batch.read * 0.9);
    await breath();
    if (stop) return false;
  }
  return true;
}

const STOPPED: ImportResult = { taken: 0, fresh: 0, merged: 0, bad: 0, examples: [], stopped: true };

async function siteOf(siteId: string): Promise<{ site: SiteRow | undefined; posts: PostRow[] }> {
  return { site: await database().sites.get(siteId), posts: await postsOf(siteId) };
}

async function deskSite(siteId: string) {
  const { site, posts } = await siteOf(siteId);
  return {
    stems: siteStems([
      site?.house.offer ?? '',
      site?.name ?? '',
      ...posts.flatMap(({ fields }) => [fields.title, fields.keyword, ...fields.supporting, fields.category]),
    ]),
    rules: site ? researchRulesOf(site.house) : defaultResearchRules(),
    month: new Date().getUTCMonth(),
  };
}

/** The keywords of a site in memory; read anew where another tab or a restore changed them. */
async function deskOf(siteId: string): Promise<ResearchDesk> {
  if (open?.siteId !== siteId || open.stamp !== (await keywordStamp(siteId))) {
    const { records, stamp } = await readKeywords(siteId);
    open = { siteId, stamp, desk: new ResearchDesk(records, await deskSite(siteId)) };
  }
  return open.desk;
}

/** Changes keywords and writes what changed; begun anew where another tab was quicker. */
async function change<T>(
  siteId: string,
  work: (desk: ResearchDesk) => { rows: Iterable<number>; answer: T },
): Promise<T> {
  for (;;) {
    const own = await deskOf(siteId);
    const { rows, answer } = work(own);
    try {
      if (open) open.stamp = await writeKeywords(siteId, own.records, rows, open.stamp);
      return answer;
    } catch (error) {
      // What is in memory is ahead of what is kept.
      open = null;
      if (!(error instanceof StaleWrite)) throw error;
    }
  }
}

const keep = (siteId: string, keywords: readonly Keyword[]): Promise<{ fresh: number; merged: number }> =>
  change(siteId, (own) => {
    const { rows, fresh } = own.add(keywords);
    return { rows, answer: { fresh, merged: rows.size - fresh } };
  });

async function knownPosts(siteId: string): Promise<KnownPost[]> {
  const rows = await postsOf(siteId);
  const bodies = await database().bodies.bulkGet(rows.map(({ id }) => id));
  return rows.map(({ id, fields }, at) => {
    const headings: { text: string; words: number }[] = [];
    for (const block of bodies[at]?.draft.blocks ?? []) {
      if (block.kind === 'heading') {
        if ((block.level ?? 2) <= 2 && block.text.trim())
          headings.push({ text: block.text.trim(), words: 0 });
      } else if (headings.length > 0)
        headings[headings.length - 1].words += block.text.split(/\s+/).filter(Boolean).length;
    }
    return { id, title: fields.title, keyword: fields.keyword, supporting: fields.supporting, headings };
  });
}

/** From where ideas are wanted. */
export type IdeaWish =
  | { from: 'clusters'; region: string }
  | { from: 'titles'; region: string }
  | { from: 'offer'; region: string; offer: string }
  | { from: 'headings'; region: string; postId: string };

/** Research over all keywords of a site. It runs in a worker, or in the page where storage is its memory. */
export const research = {
  open(name: string): void {
    openDatabase(name);
  },

  /** What the site says of itself is read anew. */
  async refreshSite(siteId: string): Promise<void> {
    (await deskOf(siteId)).setSite(await deskSite(siteId));
  },

  /** Stops the import under way at its next breath. */
  stop(): void {
    stop = true;
  },

  /** Adds keywords, merging them into those that are known. */
  add: keep,

  view: async (siteId: string, wish: DeskWish): Promise<DeskView> => (await deskOf(siteId)).view(wish),
  lines: async (siteId: string, rows: readonly number[]): Promise<KeywordLine[]> =>
    (await deskOf(siteId)).lines(rows),
  detail: async (siteId: string, phrase: string, region: string): Promise<KeywordDetail | null> =>
    (await deskOf(siteId)).detail(phrase, region),
  points: async (siteId: string, rows: Uint32Array) => (await deskOf(siteId)).points(rows),

  /** Figures of phrases, as lists show them; those not known are null. */
  async figures(siteId: string, region: string, phrases: readonly string[]): Promise<(KeywordLine | null)[]> {
    const own = await deskOf(siteId);
    return phrases.map((phrase) => own.detail(phrase, region)?.line ?? null);
  },

  /** How many keywords are known, by region. */
  async counts(siteId: string): Promise<Record<string, number>> {
    const counts: Record<string, number> = {};
    for (const { region } of (await deskOf(siteId)).records) counts[region] = (counts[region] ?? 0) + 1;
    return counts;
  },

  async found(siteId: string, rows: Uint32Array): Promise<FoundLine[]> {
    return (await deskOf(siteId)).found(rows).slice(0, MOST_LINES);
  },

  /** Clusters of a view, the largest first. */
  async clusters(
    siteId: string,
    rows: Uint32Array,
    tell: Tell,
  ): Promise<{ count: number; lines: ClusterLine[] }> {
    const own = await deskOf(siteId);
    const lines = own.clusters(rows, (done) => tell(rows.length ? done / rows.length : 1));
    return { count: lines.length, lines: lines.slice(0, MOST_LINES) };
  },

  /** Sets the intent that the writer decides on; null gives the computed one back. */
  setIntent: (siteId: string, row: number, intent: Intent | null): Promise<void> =>
    change(siteId, (own) => {
      own.setIntent(row, intent);
      return { rows: [row], answer: undefined };
    }),

  /** Reads a table of keywords into the site. What was there before can be put back under the token. */
  async importTable(
    siteId: string,
    text: string,
    reading: TableReading,
    token: string,
    tell: Tell,
  ): Promise<ImportResult> {
    const rows = new KeywordRows(reading.mapping, reading);
    if (!(await takeRows(text, reading, rows, tell))) return STOPPED;
    const own = await deskOf(siteId);
    remembered.clear();
    remembered.set(token, [...own.records]);
    const { fresh, merged } = await keep(siteId, rows.keywords);
    tell(1);
    return {
      taken: rows.keywords.length,
      fresh,
      merged,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
      stopped: false,
    };
  },

  /** Puts the keywords back as they were before an import. */
  async undoImport(siteId: string, token: string): Promise<void> {
    const before = remembered.get(token);
    if (!before) return;
    await writeKeywords(siteId, before, null, await keywordStamp(siteId));
    remembered.delete(token);
    open = null;
  },

  /** Reads a performance export in place of the one before. */
  async importPerformance(
    siteId: string,
    text: string,
    reading: TableReading,
    tell: Tell,
  ): Promise<ImportResult> {
    const rows = new PerformanceRows(reading.mapping as Partial<Record<PerformanceColumn, number>>);
    if (!(await takeRows(text, reading, rows, tell))) return STOPPED;
    const taken = rows.rows;
    await writePerformanceRows(siteId, { source: reading.source, rows: taken });
    tell(1);
    return {
      taken: taken.length,
      fresh: taken.length,
      merged: 0,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
      stopped: false,
    };
  },

  /** Queries that are nearly won, with the export they come from; null where none was read. */
  async nearWins(siteId: string): Promise<{ source: FigureSource; queries: number; wins: NearWin[] } | null> {
    const kept = await readPerformanceRows(siteId);
    if (!kept) return null;
    const { site, posts } = await siteOf(siteId);
    if (!site) return null;
    const settings = { ...site, pages: null };
    const pages = posts.flatMap(({ id, fields }): OwnPage[] => {
      const { title, keyword, supporting, slug, canonical } = fields;
      const path = pathOfPost({ slug, canonical }, settings);
      return path === null ? [] : [{ id, title, path, keyword, supporting }];
    });
    const host = hostOf(site.baseAddress);
    const pathOf = (address: string) => {
      const theirs = hostOf(address);
      return theirs !== null && host !== null && theirs !== host ? null : comparablePath(address);
    };
    const wins = nearWins(kept.rows, pages, researchRulesOf(site.house), pathOf);
    return { source: kept.source, queries: kept.rows.length, wins: wins.slice(0, MOST_LINES) };
  },

  /** Phrases whose season begins within six weeks, those worth most first. */
  async seasonsSoon(
    siteId: string,
    region: string,
    most: number,
  ): Promise<{ line: KeywordLine; weeks: number; peak: number }[]> {
    return (await deskOf(siteId)).seasonsSoon(region, new Date()).slice(0, most);
  },

  /** So many new ideas, none of which was offered before. */
  async ideas(siteId: string, wish: IdeaWish, count: number): Promise<IdeaDraft[]> {
    const own = await deskOf(siteId);
    own.setSite(await deskSite(siteId));
    const { rows, phrases } = own.rated(wish.region);
    const posts = await knownPosts(siteId);
    const made = (): IdeaDraft[] => {
      if (wish.from === 'clusters') return ideasFromClusters(own.clustersOf(rows), phrases, posts);
      if (wish.from === 'titles') return ideasFromTitles(posts, phrases);
      if (wish.from === 'offer') return ideasFromOffer(wish.offer, own.clustersOf(rows), phrases, posts);
      const post = posts.find(({ id }) => id === wish.postId);
      return post ? ideasFromHeadings(post, phrases, posts) : [];
    };
    return freshIdeas(made(), await ideasOf(siteId), count);
  },

  /** Keywords as CSV. */
  csv: async (siteId: string, rows: Uint32Array): Promise<string> =>
    writeKeywordTable((await deskOf(siteId)).take(rows)),
};

function hostOf(address: string): string | null {
  try {
    return new URL(address).host.replace(/^www\./, '');
  } catch {
    return null;
  }
}

export type Research = typeof research;
