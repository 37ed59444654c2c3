import type { PostDocument, Recording, Translation } from '../draft/index.ts';
import type { Category } from '../listing/index.ts';
import type { Redirect } from '../site/index.ts';

/** A page of the site that is no post: prices, opening hours. */
export interface SitePage {
  /** Without closing slash: `/rent`. */
  path: string;
  title: string;
  description: string;
  /** Its text as HTML, clean. */
  html: string;
}

/** A blog as its pages need it. */
export interface BlogSite {
  name: string;
  /** Where readers find it, without closing slash: `http://127.0.0.1:4311`. */
  address: string;
  /** BCP 47 tag of posts that declare none. */
  language: string;
  /** Path of a post: `/journal/{slug}`. */
  addressPattern: string;
  /** `{title} | {site}`; null: meta titles stand as written. */
  titlePattern: string | null;
  /** One sentence that says what it is about. */
  description: string;
  categories: Category[];
  /** How lists show posts. */
  look: 'cards' | 'lines';
  perPage: number;
  /** Words of the link by which a list leads to a post. */
  moreWords: string;
  /** Pages of the site beside the blog. */
  pages: SitePage[];
  /** Where addresses lead at which the house has nothing any more. */
  redirects: Redirect[];
}

/** What the house decides of its blog: how it looks, how it is ordered, and at which addresses. */
export type BlogSettings = Pick<
  BlogSite,
  'categories' | 'look' | 'perPage' | 'moreWords' | 'addressPattern' | 'redirects'
>;

/** A picture as a page shows it. */
export interface BlogPicture {
  src: string;
  /** Empty: it tells nothing that the text does not. */
  alt: string;
}

/** A post as its page shows it. */
export interface BlogEntry {
  /** By which it is known whatever its address becomes. */
  uid: string;
  slug: string;
  title: string;
  metaTitle: string;
  metaDescription: string;
  /** Address that search shall take for the original; empty: its own. */
  canonical: string;
  /** `noindex` and the like; empty: search may show it. */
  robots: string;
  excerpt: string;
  /** Its text as HTML, clean. */
  html: string;
  /** The same as its page shows it: pictures with their pixels, one level-1 heading on the page; made once, as pages are asked for often. */
  body: string;
  words: number;
  /** Questions that it ends with, as structured data; null where it has none. */
  faq: unknown;
  /** What plays in it, with its chapters. */
  recordings: Recording[];
  author: string;
  /** Name of the category that it belongs to above all; empty: none. */
  mainCategory: string;
  /** Further categories and tags, by name. */
  categories: string[];
  /** RFC 3339 instants. */
  published: string;
  updated: string;
  featured: BlogPicture | null;
  shareTitle: string;
  shareDescription: string;
  sharePicture: string;
  language: string;
  /** The same post in other languages. */
  translations: Translation[];
  /** The place that it is about; empty: none. */
  place: string;
}

/** Pixels of picture files by their address. */
export type PicturePixels = ReadonlyMap<string, { width: number; height: number }>;

/** A blog that is started with nothing said of it. */
export const emptyBlog = (address: string): BlogSite => ({
  name: 'A blog',
  address,
  language: 'en',
  addressPattern: '/{slug}',
  titlePattern: null,
  description: '',
  categories: [],
  look: 'cards',
  perPage: 10,
  moreWords: 'Read on',
  pages: [],
  redirects: [],
});

/** What a blog begins with. */
export interface BlogSeed {
  name: string;
  language: string;
  addressPattern: string;
  titlePattern: string | null;
  description: string;
  categories: Category[];
  pages: SitePage[];
  posts: { uid: string; document: PostDocument }[];
}
