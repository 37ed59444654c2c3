import type { Keyword, ListedPage, Question } from './keyword.ts';

/** Knows phrases and their figures. */
export interface KeywordSource {
  /** Phrases related to any of the seeds, and the seeds themselves where they are known. Empty: nothing is known. */
  keywords(seeds: readonly string[], region: string): Promise<Keyword[]>;
}

/** Knows what people ask. */
export interface QuestionSource {
  questions(seeds: readonly string[], region: string): Promise<Question[]>;
}

/** A page found for a query, with its content. */
export interface ResultPage extends ListedPage {
  rank: number;
  description: string;
  /** The whole document as it was served. */
  html: string;
}

/** Finds the pages that answer a query. */
export interface ResultSource {
  results(query: string, region: string, limit: number): Promise<ResultPage[]>;
}
