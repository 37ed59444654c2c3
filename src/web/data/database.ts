import Dexie, { type Table } from 'dexie';
import type { GroupResult } from '../../core/criteria/index.ts';
import type { Draft, PostFields } from '../../core/draft/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import type { SiteSettings } from '../../core/site/index.ts';

export interface SiteRow extends SiteSettings {
  id: string;
  /** Counts changes of the settings. */
  revision: number;
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
}

export interface BodyRow {
  postId: string;
  siteId: string;
  draft: Draft;
  outline: OutlineItem[];
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

class Database extends Dexie {
  sites!: Table<SiteRow, string>;
  posts!: Table<PostRow, string>;
  bodies!: Table<BodyRow, string>;
  pictures!: Table<PictureRow, [string, string]>;
  blobs!: Table<BlobRow, string>;
  scores!: Table<ScoreRow, string>;

  constructor(name: string) {
    super(name);
    this.version(1).stores({
      sites: 'id',
      posts: 'id, siteId, [siteId+deleted]',
      bodies: 'postId, siteId',
      pictures: '[siteId+name], siteId, sha',
      blobs: 'sha',
      scores: 'postId, siteId',
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
