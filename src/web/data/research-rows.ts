import type { FigurePart } from '../../core/performance/index.ts';
import type { FigureSource, IdeaDraft, PackedKeywords, PerformanceRow } from '../../core/research/index.ts';

/** A part of a site's keywords, as columns: they are many, and a worker reads them whole. */
export interface KeywordChunkRow {
  siteId: string;
  /** Rows `chunk x size` on stand in it. */
  chunk: number;
  packed: PackedKeywords;
  /** Of the row that counts changes. */
  stamp?: number;
}

/** Search figures of some days. */
export interface SearchFigureRow {
  siteId: string;
  /** What tells it from others of the site. */
  id: string;
  part: FigurePart;
  /** UTC instant of the last change. */
  changed: string;
}

/** A part of the one performance export that databases before version 11, and backups of those days, kept. */
export interface UndatedPerformanceRow {
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
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}
