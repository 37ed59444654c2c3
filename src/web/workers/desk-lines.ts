import type {
  Difficulty,
  Held,
  Intent,
  IntentReading,
  Keyword,
  KeywordWish,
  ListedPage,
  Opportunity,
  Related,
} from '../../core/research/index.ts';

/** A keyword as a table shows it. */
export interface KeywordLine {
  row: number;
  keyword: Pick<Keyword, 'phrase' | 'region' | 'volume' | 'months' | 'source' | 'setIntent'>;
  difficulty: number | null;
  /** The difficulty was given by a file. */
  given: boolean;
  /** So far the difficulty may lie off either way; 0 where all of its pages are known. */
  give: number;
  /** Pages that it is known from; null: it is given or not known. */
  pages: number | null;
  intent: Intent;
  opportunity: number | null;
  /** The post of the site that holds it; null: none. */
  held: Held | null;
  /** Why it is related to the seeds; null where all phrases are shown. */
  relation: Pick<Related, 'relation' | 'reason'> | null;
}

/** Everything about one keyword, with how each figure came about. */
export interface KeywordDetail {
  line: KeywordLine;
  difficulty: Difficulty | null;
  intent: IntentReading;
  opportunity: Opportunity | null;
  found: number | null;
}

/** What is asked of the desk: seeds, a region, filters, and what stands on lists. */
export interface DeskWish {
  /** Empty: every phrase. */
  seeds: readonly string[];
  region: string;
  wish: KeywordWish;
  /** Keys of phrases that stand on a list; asked for only where that is filtered by. */
  listed: readonly string[];
}

/** What a view holds; its lines are asked for as they come into sight. */
export interface DeskView {
  rows: Uint32Array;
  /** Searches a month of all of them. */
  volume: number;
  /** Phrases of the region before filters. */
  all: number;
}

/** A cluster with the rows of its phrases. */
export interface ClusterLine {
  name: string;
  rows: number[];
  volume: number;
  /** The best of its phrases. */
  opportunity: number | null;
  /** The mean of its phrases whose difficulty is known. */
  difficulty: number | null;
}

/** A page that is found for phrases of a view. */
export interface FoundLine {
  page: ListedPage;
  /** Phrases for which it is found, the best rank first. */
  phrases: { row: number; phrase: string; rank: number; volume: number | null }[];
  /** Searches a month of all of them. */
  volume: number;
  /** Clicks a month that it may have from them, by its ranks. */
  clicks: number;
}
