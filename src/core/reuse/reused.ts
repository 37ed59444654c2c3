/** What a post can be made into. */
export const REUSE_KINDS = [
  'thread',
  'update',
  'network-post',
  'blurb',
  'newsletter',
  'summary',
  'takeaways',
  'cards',
  'faq',
  'teaser',
  'script',
  'picture',
] as const;
export type ReuseKind = (typeof REUSE_KINDS)[number];

/** Kinds that are messages: they have a limit, and a link. */
export const isMessage = (kind: ReuseKind): boolean =>
  kind === 'thread' || kind === 'update' || kind === 'network-post';

/** One part of what was made: a message of a thread, a card, a point. */
export interface ReusedPart {
  /** A question, a title, a time; empty: none. */
  head: string;
  text: string;
  /** The post's own sentences that it was made from. */
  from: string[];
}

/** What decides how something is made. */
export interface ReuseWishes {
  /** Parts of a thread, sentences of a summary; 0: as many as the post has points. */
  parts: number;
  /** Characters of a message, and what a link counts as. */
  most: number;
  link: number | null;
  numbered: boolean;
  emoji: boolean;
  hashtags: boolean;
}

export const defaultReuseWishes = (): ReuseWishes => ({
  parts: 0,
  most: 280,
  link: 23,
  numbered: true,
  emoji: false,
  hashtags: false,
});

/** What is known of the post beside its text. */
export interface ReuseFrom {
  title: string;
  keyword: string;
  supporting: readonly string[];
  categories: readonly string[];
  description: string;
  /** Where readers find it, campaign tags included; empty: nowhere yet. */
  address: string;
  author: string;
}
