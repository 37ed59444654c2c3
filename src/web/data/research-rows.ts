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
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}
