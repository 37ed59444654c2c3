import type { PostFields } from './post-fields.ts';

/** What a network or a messenger shows of a post that somebody shares. */
export interface Share {
  title: string;
  description: string;
  /** Address of its picture; empty where it has none. */
  picture: string;
}

/** What stands in a share: what was written for it, else what the listing and the featured picture say. */
export const shareOf = (fields: PostFields): Share => ({
  title: fields.shareTitle.trim() || fields.title.trim(),
  description: fields.shareDescription.trim() || fields.metaDescription.trim() || fields.excerpt.trim(),
  picture: fields.shareImage || fields.image,
});
