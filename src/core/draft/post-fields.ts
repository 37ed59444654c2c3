export const STATUSES = ['draft', 'in-review', 'scheduled', 'published'] as const;
export type Status = (typeof STATUSES)[number];

/** What a post has besides its body. Texts are empty, never missing, where nothing was written. */
export interface PostFields {
  title: string;
  /** As written for the results page; empty: the title stands in. */
  metaTitle: string;
  metaDescription: string;
  slug: string;
  canonical: string;
  excerpt: string;
  keyword: string;
  supporting: string[];
  /** BCP 47 tag; empty where not declared. */
  language: string;
  /** The same post in other languages, each as its language tag and its address: `de /radreise/packtaschen`. */
  translations: string[];
  status: Status;
  /** RFC 3339 instants; empty where not set. */
  date: string;
  updated: string;
  author: string;
  category: string;
  categories: string[];
  tags: string[];
  /** Featured picture: address and alternative text (null: none given). */
  image: string;
  imageAlt: string | null;
  /** For shares in networks and messages; empty: those of the listing and the featured picture stand in. */
  shareTitle: string;
  shareDescription: string;
  shareImage: string;
  /** What search is asked not to do with its page, e.g. `noindex`; empty: it may show it. */
  robots: string;
  /** `off`, or `until 2026-12-31`; empty: readers may comment where the blog lets them. */
  comments: string;
  /** The place that it is about, for structured data; empty: none. */
  place: string;
  /** Words that the brief asks for; null: no wish. */
  targetWords: number | null;
  goal: string;
  audience: string[];
  tone: string;
  style: string;
  points: string[];
  nextStep: string;
  /** Questions chosen to be answered. */
  questions: string[];
  /** Sentences marked as the house's own data. */
  ownFigures: string[];
  /** Front matter of a file that is none of the above: kept and written back. */
  unknown: Record<string, unknown>;
}

export const emptyFields = (): PostFields => ({
  title: '',
  metaTitle: '',
  metaDescription: '',
  slug: '',
  canonical: '',
  excerpt: '',
  keyword: '',
  supporting: [],
  language: '',
  translations: [],
  status: 'draft',
  date: '',
  updated: '',
  author: '',
  category: '',
  categories: [],
  tags: [],
  image: '',
  imageAlt: null,
  shareTitle: '',
  shareDescription: '',
  shareImage: '',
  robots: '',
  comments: '',
  place: '',
  targetWords: null,
  goal: '',
  audience: [],
  tone: '',
  style: '',
  points: [],
  nextStep: '',
  questions: [],
  ownFigures: [],
  unknown: {},
});

/** Fields as an earlier release wrote them, with those that came since: empty. */
export const wholeFields = (given: Partial<PostFields>): PostFields => ({ ...emptyFields(), ...given });

/** A post out of a file or the database: fields and body. */
export interface PostDocument {
  fields: PostFields;
  draft: import('./draft.ts').Draft;
}
