/** A post of the site as others name it. */
export interface PostRef {
  id: string;
  title: string;
  /** Pages that are no posts here: their comparable path, so that a post is no rival of its own address. */
  path?: string;
}

/** What a criterion may ask about the site that a post belongs to. */
export interface SiteFacts {
  /** The post in hand; it is never its own rival. */
  postId: string;
  /** Path of the post in hand in comparable form; null where it has none yet. */
  ownPath: string | null;
  /** Posts by effective meta title (folded). */
  metaTitles: ReadonlyMap<string, readonly PostRef[]>;
  /** Posts by the keys of their primary keyword. */
  targets: ReadonlyMap<string, readonly PostRef[]>;
  /** Known addresses of the site in comparable form, with the title of the page where known. */
  pages: ReadonlyMap<string, string>;
  /** Those of them that are posts which no reader can open yet. */
  unpublished: ReadonlySet<string>;
  /** False: the list of pages is not complete, so that an address not on it is neither dead nor live. */
  pagesKnown: boolean;
}

/** A term that the studied pages share. */
export interface StudyTerm {
  /** Base forms of its words, by which uses are counted. */
  key: string;
  /** As it is mostly written. */
  form: string;
  group: 'staple' | 'supporting';
  /** Stands in the headings of at least a fifth of the pages. */
  heading: boolean;
  /** Share of the pages that use it, 0-1. */
  share: number;
  /** Quartiles of uses per 1,000 words over the pages that use it; both 0 for a term that no page uses. */
  lower: number;
  upper: number;
}

/** A topic that studied pages have sections about. */
export interface StudyTopic {
  name: string;
  /** Share of the pages that have it, 0-1. */
  share: number;
  /** Stems by which its sections are known, each with its part of their weight; the parts add up to 1. */
  stems: [stem: string, weight: number][];
}

/** Lower quartile, median, upper quartile and best of the studied pages. */
export interface StudyBand {
  lower: number;
  median: number;
  upper: number;
  best: number;
}

/** How near a post is to the voice of its house. */
export interface VoiceFacts {
  /** 0-100; null: there is too little text to hear a voice in. */
  near: number | null;
  /** What differs on the whole, the greatest difference first, as sentences. */
  differences: string[];
  /** Paragraphs that do not sound like it. */
  blockIds: string[];
}

/** What a study of result pages tells the criteria. */
export interface StudyFacts {
  /** Upper quartile of keyword uses per 100 words over the pages. */
  keywordRateUpper: number;
  words: StudyBand | null;
  /** Scores by the criteria that can be judged on any page; `topTen` is the mean of the first ten. */
  score: (StudyBand & { topTen: number }) | null;
  terms: StudyTerm[];
  topics: StudyTopic[];
}
