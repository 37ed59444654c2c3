import Dexie, { type DexieOptions, type Table, type Transaction } from 'dexie';
import type { GroupResult, StudyFacts } from '../../core/criteria/index.ts';
import type { Draft, PostFields } from '../../core/draft/index.ts';
import { comparablePath } from '../../core/listing/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import type { FigureSource, IdeaDraft, PackedKeywords, PerformanceRow } from '../../core/research/index.ts';
import { emptyHouse, type House, type SitePage, type SiteSettings } from '../../core/site/index.ts';
import type { Asked, TermChoices, WantedPhrase } from '../../core/study/index.ts';
import type { BriefChoices } from '../../core/writing/index.ts';

export interface SiteRow extends Omit<SiteSettings, 'pages'> {
  id: string;
  /** Counts changes of the settings. */
  revision: number;
  house: House;
  /** UTC instant at which it was last gone to; the latest is the site in hand. */
  opened: string;
  /** IANA zone by which its days are counted; not there or empty: that of this machine. */
  zone?: string;
}

/** A page of the site that is no post here; `path` is its address in comparable form. */
export interface PageRow {
  siteId: string;
  path: string;
  address: string;
  title: string;
}

/** A post without its body. */
export interface PostRow {
  id: string;
  siteId: string;
  /** Counts saves; every write compares and sets it. */
  revision: number;
  /** UTC instant of the last change. */
  changed: string;
  /** UTC instant of deletion; empty: not deleted. */
  deleted: string;
  fields: PostFields;
  /** The post that this one was begun from. */
  startedFrom?: string;
}

/** Points of the house's checklist that are ticked for a post, by their ids. */
export interface TickRow {
  siteId: string;
  postId: string;
  items: string[];
}

export interface BodyRow {
  postId: string;
  siteId: string;
  draft: Draft;
  outline: OutlineItem[];
}

/** Why a version was kept. */
export type VersionReason = 'time' | 'named' | 'paste' | 'restore' | 'import' | 'aside' | 'trial';

/** A post as it stood at an instant, with its score once that is computed. */
export interface VersionRow {
  id: string;
  siteId: string;
  postId: string;
  /** UTC instant. */
  at: string;
  reason: VersionReason;
  /** As the writer named it; empty where nobody did. */
  name: string;
  fields: PostFields;
  draft: Draft;
  outline: OutlineItem[];
  score: VersionScore | null;
}

/** What a version's record keeps of its report. */
export interface VersionScore {
  score: number;
  words: number;
  groups: GroupResult[];
  criteria: { id: string; title: string; points: number; available: number }[];
}

/** A picture of the site; `name` is its file name below `media/`. */
export interface PictureRow {
  siteId: string;
  name: string;
  sha: string;
  bytes: number;
  width: number | null;
}

export interface BlobRow {
  sha: string;
  blob: Blob;
}

/** What lists show of a post's report; can be computed anew at any time. */
export interface ScoreRow {
  postId: string;
  siteId: string;
  /** What the score was computed from. */
  key: string;
  score: number;
  words: number;
  groups: GroupResult[];
  /** The note with the most points to win; null: nothing to mend. */
  first: { advice: string; gain: number } | null;
}

/** A part of a site's keywords, as columns: they are many, and a worker reads them whole. */
export interface KeywordChunkRow {
  siteId: string;
  /** Rows `chunk x size` on stand in it. */
  chunk: number;
  packed: PackedKeywords;
  /** Of the row that counts changes. */
  stamp?: number;
}

/** A part of the performance export that was read last. */
export interface PerformanceChunkRow {
  siteId: string;
  chunk: number;
  source: FigureSource;
  rows: PerformanceRow[];
}

/** A named list of phrases, usually for one post. */
export interface ListRow {
  id: string;
  siteId: string;
  name: string;
  /** Place among the lists; lower comes first. */
  rank: number;
  region: string;
  /** One of its phrases; empty: none chosen. */
  primary: string;
  phrases: string[];
  notes: string;
  /** The post that it belongs to; empty: none yet. */
  postId: string;
  /** UTC instant. */
  changed: string;
}

/** What was decided about an idea. `begun`: it became a post. */
export type IdeaStage = 'new' | 'kept' | 'parked' | 'dropped' | 'begun';

/** An idea; its opportunity is as it was when it was made. */
export interface IdeaRow extends IdeaDraft {
  id: string;
  siteId: string;
  stage: IdeaStage;
  rank: number;
  /** The post that it became; empty: none. */
  postId: string;
  /** UTC instant. */
  made: string;
}

/** A page of a study: what is known of it beside its content. */
export interface StudyPageRef {
  /** Under which its content lies; empty: it has none. */
  key: string;
  address: string;
  publisher: string;
  /** What kind of publisher; empty: not known. */
  kind: string;
  rank: number;
  title: string;
  /** The writer left it out. */
  left: boolean;
  /** Why it could not be read, in words; empty: it was. */
  problem: string;
}

/** A study of the pages that answer a query. Posts may share one; what it says is computed from its pages. */
export interface StudyRow {
  id: string;
  siteId: string;
  query: string;
  region: string;
  /** UTC instant at which its pages were found. */
  made: string;
  /** Counts changes. */
  revision: number;
  /** Posts that go by it. */
  posts: string[];
  /** The study that it was run again from; empty: none. */
  earlier: string;
  pages: StudyPageRef[];
  asked: Asked[];
  phrases: WantedPhrase[];
  choices: TermChoices;
  /** What the criteria take from it: kept so that lists of posts can be scored without reading pages; null: not computed yet. */
  facts: StudyFacts | null;
}

/** The content of a studied page, stored once however many studies name it. */
export interface StudyPageRow {
  siteId: string;
  /** SHA-256 of the content. */
  key: string;
  format: 'html' | 'markdown' | 'text';
  /** Deflated, in base 64. */
  packed: string;
}

/** What is decided about the brief of a post. */
export interface BriefRow extends BriefChoices {
  postId: string;
  siteId: string;
}

/** What a generation was made by: texts that came back for a brief, and proposed outlines. */
export type Recipe = 'brief' | 'outline';

/** A text that was made or came back, with what it was made from: kept until its post is gone. */
export interface GenerationRow {
  id: string;
  siteId: string;
  postId: string;
  /** UTC instant. */
  at: string;
  recipe: Recipe;
  title: string;
  /** What it was made from, in words. */
  input: string;
  /** Markdown. */
  output: string;
}

/** A page row for an address; null where it names no page. */
export function pageRow(siteId: string, { address, title }: SitePage): PageRow | null {
  const path = comparablePath(address);
  return path === null ? null : { siteId, path, address, title: title ?? '' };
}

/** Version 1 kept the pages of a site among its settings. */
async function pagesOutOfSettings(transaction: Transaction): Promise<void> {
  const sites = transaction.table('sites');
  for (const { pages, ...site } of (await sites.toArray()) as (SiteRow & { pages?: SitePage[] })[]) {
    const rows = (pages ?? []).flatMap((page) => pageRow(site.id, page) ?? []);
    await transaction.table('pages').bulkPut(rows);
    await sites.put(site);
  }
}

/** Version 2 knew one site, and no house beside its settings. */
async function houseForSites(transaction: Transaction): Promise<void> {
  const sites = transaction.table('sites');
  for (const site of (await sites.toArray()) as SiteRow[])
    await sites.put({ ...site, house: emptyHouse(), opened: '' });
}

class Database extends Dexie {
  sites!: Table<SiteRow, string>;
  pages!: Table<PageRow, [string, string]>;
  posts!: Table<PostRow, string>;
  bodies!: Table<BodyRow, string>;
  versions!: Table<VersionRow, string>;
  pictures!: Table<PictureRow, [string, string]>;
  /** Files by their content; the pictures of every site share them. */
  blobs!: Table<BlobRow, string>;
  scores!: Table<ScoreRow, string>;
  ticks!: Table<TickRow, [string, string]>;
  keywords!: Table<KeywordChunkRow, [string, number]>;
  performance!: Table<PerformanceChunkRow, [string, number]>;
  lists!: Table<ListRow, string>;
  ideas!: Table<IdeaRow, string>;
  studies!: Table<StudyRow, string>;
  studyPages!: Table<StudyPageRow, [string, string]>;
  briefs!: Table<BriefRow, string>;
  generations!: Table<GenerationRow, string>;

  constructor(name: string, options?: DexieOptions) {
    // Its cache copies every answer deeply; with thousands of posts that holds the page up.
    super(name, { cache: 'disabled', ...options });
    this.version(1).stores({
      sites: 'id',
      posts: 'id, siteId, [siteId+deleted]',
      bodies: 'postId, siteId',
      pictures: '[siteId+name], siteId, sha',
      blobs: 'sha',
      scores: 'postId, siteId',
    });
    this.version(2)
      .stores({
        pages: '[siteId+path], siteId',
        versions: 'id, siteId, [siteId+postId]',
        pictures: '[siteId+name], siteId, [siteId+sha]',
      })
      .upgrade(pagesOutOfSettings);
    this.version(3).stores({ ticks: '[siteId+postId], siteId' }).upgrade(houseForSites);
    this.version(4).stores({
      keywords: '[siteId+chunk], siteId',
      performance: '[siteId+chunk], siteId',
      lists: 'id, siteId',
      ideas: 'id, siteId',
    });
    this.version(5).stores({
      studies: 'id, siteId',
      studyPages: '[siteId+key], siteId',
      briefs: 'postId, siteId',
      generations: 'id, siteId, [siteId+postId]',
    });
  }
}

/** The database of the page with demo data, and the one without: they never mix. */
export const databaseName = (demo: boolean): string => (demo ? 'dune-sparrow-demo' : 'dune-sparrow');

let opened: Database | null = null;

/** The open database; {@link openDatabase} comes first. */
export function database(): Database {
  if (!opened) throw new Error('The database is not open.');
  return opened;
}

/** Opens the database by name (page and workers call it once each). */
export function openDatabase(name: string): Database {
  opened ??= new Database(name);
  return opened;
}

/** Opens a database that lives in memory, for windows that refuse storage. */
export async function openInMemory(name: string): Promise<Database> {
  const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
  opened = new Database(name, { indexedDB, IDBKeyRange });
  return opened;
}
