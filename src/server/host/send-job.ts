import type { EntryProperties } from '../../core/blog/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';

/** A way to where posts are published. */
export type Way = { kind: 'stand-in' } | { kind: 'folder' } | { kind: 'micropub'; endpoint: string };

/** A picture of a post: the address that the post has for it, and the file, by what is in it. */
export interface JobPicture {
  src: string;
  sha: string;
  name: string;
  type: string;
}

/** What is to be done with a post at its host. */
export interface SendOrder {
  /** Of which site of the browser, so that a page finds its own. */
  siteId: string;
  postId: string;
  /** To show in lists. */
  title: string;
  way: Way;
  action: 'publish' | 'withdraw' | 'restore';
  /** Where it stands already; empty: it is new. */
  url: string;
  /** Version that it has there as far as is known; null: whatever it is. */
  known: string | null;
  /** Where readers of a withdrawn post are led: a path or an address; empty: it is gone for good. */
  leadsTo: string;
  /** It was taken from its readers: publishing gives it back to them first. */
  withdrawn: boolean;
  /** Empty but for `publish`. */
  properties: EntryProperties;
  /** All of the post, for `folder`; null for the others. */
  document: PostDocument | null;
  pictures: JobPicture[];
  /** UTC instant before which it is not sent; empty: at once. */
  due: string;
  /** By which a page finds out what of its own was sent. */
  revision: string;
}

export type JobState = 'waiting' | 'sending' | 'done' | 'failed' | 'changed' | 'given-up';

/** An order on its way: what was done of it and what is next. */
export interface SendJob extends SendOrder {
  id: string;
  /** Raised with each order, so that they go in turn. */
  turn: number;
  state: JobState;
  tries: number;
  /** UTC instant of the next try; empty: none. */
  next: string;
  /** Why it is not done; empty: nothing is in its way. */
  problem: string;
  /**
   * The job whose request for a new post may have arrived: whether it did is looked up before it is sent again. Empty: none
   * was begun, or its answer is known.
   */
  begunBy: string;
  /** Addresses of pictures that are up, by the hash of their file. */
  placed: Record<string, string>;
  version: string | null;
  /** It was taken, and is not shown yet. */
  isLater: boolean;
  /** UTC instants. */
  ordered: string;
  ended: string;
}

/** What pages see of a job: all but the post itself. */
export type JobAccount = Omit<SendJob, 'properties' | 'document' | 'pictures' | 'placed' | 'begunBy'> & {
  pictures: number;
  placed: number;
};

export function accountOf({
  properties: _properties,
  document: _document,
  begunBy: _begunBy,
  ...job
}: SendJob): JobAccount {
  return { ...job, pictures: job.pictures.length, placed: Object.keys(job.placed).length };
}
