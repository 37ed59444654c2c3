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
  /** False: the list of pages is not complete, so that an address not on it is neither dead nor live. */
  pagesKnown: boolean;
}

/** What a study of result pages will tell; none exists until pages are studied. */
export interface StudyFacts {
  /** Upper quartile of keyword uses per 100 words over the pages. */
  keywordRateUpper: number;
}
