import type { EntryProperties } from '../../core/blog/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';

/** A place where posts are published could not do what it was asked to; the message is a sentence for the writer. */
export class HostProblem extends Error {
  /**
   * `away`: it may work later, by itself. `refused`: not before something is changed. `changed`: there stands another
   * version than the one that is known. `missing`: nothing stands at that address.
   */
  readonly kind: 'away' | 'refused' | 'changed' | 'missing';
  /** Milliseconds after which it asks to be asked again; null: it did not say. */
  readonly askAgainIn: number | null;
  /** What it answered, as HTTP counts; null: it did not come to that. */
  readonly status: number | null;
  /** Where the other version stands, where that was not known; empty: nowhere else. */
  readonly url: string;

  constructor(
    kind: HostProblem['kind'],
    message: string,
    {
      askAgainIn = null,
      status = null,
      url = '',
    }: { askAgainIn?: number | null; status?: number | null; url?: string } = {},
  ) {
    super(message);
    this.kind = kind;
    this.askAgainIn = askAgainIn;
    this.status = status;
    this.url = url;
  }
}

/** A post as it stands at its host. */
export interface HostedPost {
  url: string;
  properties: EntryProperties;
  /** Changes whenever the post there does; null: the host cannot tell. */
  version: string | null;
}

/** A post on its way: the properties by which a blog is told of it, and, where a file is written, all of it. */
export interface Outgoing {
  properties: EntryProperties;
  document: PostDocument | null;
}

/** Where a post came to stand. */
export interface SentPost {
  url: string;
  version: string | null;
  /** Accepted, but not shown yet. */
  isLater: boolean;
}

export interface HostCapabilities {
  /** Takes pictures. */
  media: boolean;
  /** Takes text with its structure; without, plain words alone. */
  formatted: boolean;
  /** Shows a post by itself once its date has come. */
  schedules: boolean;
  /** Answers what stands at an address, so that a change made there is seen. */
  readable: boolean;
  categories: string[];
  /** Other places to which it passes posts on. */
  syndicateTo: { uid: string; name: string }[];
}

/** A place where posts are published, whatever it is. All of it may throw {@link HostProblem}. */
export interface BlogHost {
  capabilities(): Promise<HostCapabilities>;
  /** Puts a new post up. Sent twice with the same `uid`, it shall stand there once. */
  create(post: Outgoing): Promise<SentPost>;
  /** Replaces a post by what it is now; `known` is the version that it must still have, null: whatever stands there. */
  update(url: string, post: Outgoing, known: string | null): Promise<SentPost>;
  /** Takes a post from its readers; `leadsTo` is where they are led instead, empty: nowhere, it is gone. */
  remove(url: string, leadsTo: string): Promise<void>;
  restore(url: string): Promise<void>;
  list(): Promise<HostedPost[]>;
  read(url: string): Promise<HostedPost>;
  /** Puts a picture up, beside the post that stands at `beside` (empty: a new one), and answers its address as that post names it. */
  putMedia(bytes: Buffer, name: string, type: string, beside: string): Promise<string>;
}
