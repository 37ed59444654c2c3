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
  phraseKey,
  siteStems,
  tableBatches,
  writeKeywordTable,
} from '../../core/research/index.ts';
import { dateIn, monthIn, pathOfPost, researchRulesOf } from '../../core/site/index.ts';
import { database, openDatabase, type PostRow, type SiteRow } from '../data/database.ts';
import { ideasOf } from '../data/ideas.ts';
import { keywordStamp, readKeywords, writeKeywords } from '../data/keyword-chunks.ts';
import { readPerformanceRows, writePerformanceRows } from '../data/performance-chunks.ts';
import { postsOf, StaleWrite } from '../data/posts.ts';
import { zoneOf } from '../data/zone-of.ts';
import { many } from '../ui/figures.ts';
import { callOff, inSteps, stillWanted } from './called-off.ts';
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
}

/** Told how far a long job is, 0-1. */
type Tell = (done: number) => void;

/** Bad rows that are named one by one; the rest are counted. */
const MOST_NAMED = 100;
const BATCH = 5000;
/** Clusters and pages that a screen lists. */
const MOST_LINES = 2000;

let open: { siteId: string; stamp: number; desk: ResearchDesk } | null = null;
/** The keywords that an import brought, as they were kept before and after it, by its job: those of the last one. */
const remembered = new Map<string, { before: Map<string, Keyword>; after: Map<string, Keyword> }>();

/** Gives every row of a table to be taken. Throws an `AbortError` where the job is called off. */
async function takeRows(
  job: string,
  text: string,
  { delimiter, headed }: TableReading,
  rows: { take(cells: readonly string[], line: number): void },
  tell: Tell,
): Promise<void> {
  for (const batch of tableBatches(text, delimiter, BATCH)) {
    batch.rows.forEach((cells, at) => {
      if (batch.lines[at] > 1 || !headed) rows.take(cells, batch.lines[at]);
    });
    tell(batch.read * 0.9);
    await stillWanted(job);
  }
}

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
    month: monthIn(zoneOf(site), new Date()),
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

const phraseIn = ({ region, phrase }: Keyword): string => `${region} ${phraseKey(phrase)}`;

/** Keywords as they lie in the database, by phrase and region; of those wanted. */
async function keptOf(siteId: string, wanted: ReadonlySet<string>): Promise<Map<string, Keyword>> {
  const { records } = await readKeywords(siteId);
  return new Map(
    records.flatMap((record) => (wanted.has(phraseIn(record)) ? [[phraseIn(record), record] as const] : [])),
  );
}
const isSame = (a: Keyword | undefined, b: Keyword | undefined): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

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

  /** Ends a job between two of its steps; what it was asked for is rejected with an `AbortError`. */
  callOff,

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
    job: string,
    tell: Tell,
  ): Promise<{ count: number; lines: ClusterLine[] }> {
    const lines = await inSteps((await deskOf(siteId)).clusters(rows), job, tell);
    return { count: lines.length, lines: lines.slice(0, MOST_LINES) };
  },

  /** Sets the intent that the writer decides on; null gives the computed one back. */
  setIntent: (siteId: string, row: number, intent: Intent | null): Promise<void> =>
    change(siteId, (own) => {
      own.setIntent(row, intent);
      return { rows: [row], answer: undefined };
    }),

  /** Reads a table of keywords into the site. What was there before can be put back by the sign of the job. */
  async importTable(
    siteId: string,
    text: string,
    reading: TableReading,
    job: string,
    tell: Tell,
  ): Promise<ImportResult> {
    const rows = new KeywordRows(reading.mapping, reading);
    await takeRows(job, text, reading, rows, tell);
    const brought = new Set(rows.keywords.map(phraseIn));
    const before = await keptOf(siteId, brought);
    const { fresh, merged } = await keep(siteId, rows.keywords);
    remembered.clear();
    remembered.set(job, { before, after: await keptOf(siteId, brought) });
    tell(1);
    return {
      taken: rows.keywords.length,
      fresh,
      merged,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
    };
  },

  /**
   * Takes back what an import brought: phrases that it added go, those that it changed are as before. What was brought
   * or decided since stays. Answers in words what stays, empty where nothing does.
   */
  async undoImport(siteId: string, job: string): Promise<string> {
    const known = remembered.get(job);
    if (!known) return 'This import can no longer be taken back: a later one came after it.';
    const { records, stamp } = await readKeywords(siteId);
    let since = 0;
    const kept = records.flatMap((record) => {
      const key = phraseIn(record);
      const [was, became] = [known.before.get(key), known.after.get(key)];
      if (became === undefined || isSame(was, became)) return [record];
      if (isSame(record, became)) return was ? [was] : [];
      since += 1;
      return [record];
    });
    await writeKeywords(siteId, kept, null, stamp);
    remembered.delete(job);
    open = null;
    return since === 0 ? '' : `${many(since, 'phrase')} changed since and left so.`;
  },

  /** Reads a performance export in place of the one before. */
  async importPerformance(
    siteId: string,
    text: string,
    reading: TableReading,
    job: string,
    tell: Tell,
  ): Promise<ImportResult> {
    const rows = new PerformanceRows(reading.mapping as Partial<Record<PerformanceColumn, number>>);
    await takeRows(job, text, reading, rows, tell);
    const taken = rows.rows;
    await writePerformanceRows(siteId, { source: reading.source, rows: taken });
    tell(1);
    return {
      taken: taken.length,
      fresh: taken.length,
      merged: 0,
      bad: rows.bad.length,
      examples: rows.bad.slice(0, MOST_NAMED),
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
    return (await deskOf(siteId))
      .seasonsSoon(region, dateIn(zoneOf((await siteOf(siteId)).site), new Date()))
      .slice(0, most);
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
