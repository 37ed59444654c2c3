import Dexie, { type DexieOptions, type Table } from 'dexie';
import type { AuditRow, PageReadRow } from './audit-rows.ts';
import { datedPerformance, houseForSites, pagesOutOfSettings, wholeFieldsIn } from './migrations.ts';
import type {
  BlobRow,
  BodyRow,
  PageRow,
  PictureRow,
  PostRow,
  ScoreRow,
  SiteRow,
  TickRow,
  VersionRow,
} from './post-rows.ts';
import type { IdeaRow, KeywordChunkRow, ListRow, SearchFigureRow } from './research-rows.ts';
import type { ReuseRow } from './reuse-rows.ts';
import type { BriefRow, GenerationRow, StudyPageRow, StudyRow } from './study-rows.ts';
import type { RecordingRow, TalkRow } from './talk-rows.ts';

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
  searchFigures!: Table<SearchFigureRow, [string, string]>;
  lists!: Table<ListRow, string>;
  ideas!: Table<IdeaRow, string>;
  studies!: Table<StudyRow, string>;
  studyPages!: Table<StudyPageRow, [string, string]>;
  briefs!: Table<BriefRow, string>;
  generations!: Table<GenerationRow, string>;
  talks!: Table<TalkRow, string>;
  recordings!: Table<RecordingRow, string>;
  reuses!: Table<ReuseRow, string>;
  audits!: Table<AuditRow, [string, string]>;
  pageReads!: Table<PageReadRow, [string, string]>;

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
    this.version(6).upgrade(wholeFieldsIn('posts', 'versions'));
    this.version(7).upgrade(wholeFieldsIn('posts', 'versions'));
    this.version(8).stores({
      generations: 'id, siteId, [siteId+postId], [siteId+postId+recipe], [siteId+postId+asked.taken]',
    });
    this.version(9).stores({
      talks: 'postId, siteId',
      recordings: 'postId, siteId',
      reuses: 'id, siteId, [siteId+postId]',
    });
    this.version(10).stores({ audits: '[siteId+day], siteId', pageReads: '[siteId+path], siteId' });
    this.version(11).stores({ searchFigures: '[siteId+id], siteId' }).upgrade(datedPerformance);
    this.version(12).stores({ performance: null });
    this.version(13).upgrade(wholeFieldsIn('posts', 'versions', 'pageReads'));
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
