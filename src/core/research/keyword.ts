/** What kind of place publishes a page. */
export type PublisherKind = 'magazine' | 'blog' | 'institution' | 'shop' | 'maker' | 'forum' | 'community';

/** A page as a results page lists it, without its content. */
export interface ListedPage {
  address: string;
  title: string;
  publisher: string;
  kind: PublisherKind;
  /** How much its publisher's word weighs, 0-100. */
  standing: number;
}

/** A page found for a phrase, in order of rank. */
export interface FoundPage extends ListedPage {
  /** How squarely it answers the phrase, 0-1. */
  squareness: number;
}

export const INTENTS = ['informational', 'commercial', 'transactional', 'navigational'] as const;
export type Intent = (typeof INTENTS)[number];

/** Where a figure comes from and from when it is. */
export interface FigureSource {
  name: string;
  /** ISO date, `2026-11-01`. */
  date: string;
}

/** A phrase that people type, with what is known of it. */
export interface Keyword {
  phrase: string;
  region: string;
  /** Searches a month, on average; null: not known. */
  volume: number | null;
  /** Searches in January to December; null: not known. */
  months: readonly number[] | null;
  /** 0-100 as a file gave it; null: computed from the pages found, where there are any. */
  givenDifficulty: number | null;
  /** Pages found for it, the first rank first, at most twenty; null: not looked up. */
  found: readonly FoundPage[] | null;
  /** What the writer decided in place of the computed intent. */
  setIntent: Intent | null;
  source: FigureSource;
}

export const QUESTION_PLACES = ['suggestion', 'related', 'forum'] as const;
/** Where a question was met: suggested while typing, as a related question of a results page, in a forum. */
export type QuestionPlace = (typeof QUESTION_PLACES)[number];

export interface Question {
  text: string;
  place: QuestionPlace;
  /** Searches a month; null: not known. */
  volume: number | null;
}

/** The key under which a phrase is one and the same: lower case, single spaces. */
export const phraseKey = (phrase: string): string =>
  phrase.normalize('NFC').toLowerCase().replace(/\s+/g, ' ').trim();

/** A phrase of which nothing is known yet. */
export const bareKeyword = (phrase: string, region: string, source: FigureSource): Keyword => ({
  phrase,
  region,
  volume: null,
  months: null,
  givenDifficulty: null,
  found: null,
  setIntent: null,
  source,
});
