import type { GroupResult } from '../../core/criteria/index.ts';
import type { Draft, PostFields } from '../../core/draft/index.ts';
import { comparablePath } from '../../core/listing/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import type { Review } from '../../core/review/index.ts';
import type { House, Redirect, SitePage, SiteSettings } from '../../core/site/index.ts';

/** A site with its settings. */
export interface SiteRow extends Omit<SiteSettings, 'pages'> {
  id: string;
  /** Counts changes of the settings. */
  revision: number;
  house: House;
  /** UTC instant at which it was last gone to; the latest is the site in hand. */
  opened: string;
  /** IANA zone by which its days are counted; not there or empty: that of this machine. */
  zone?: string;
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
  /** What becomes of addresses at which nothing stands any more; not there: none were written yet. */
  redirects?: Redirect[];
  /** Where its posts are published; not there: on the blog beside the application. */
  publishing?: SitePublishing;
}

/** Where a site's posts are published. The token of an endpoint lies with the server alone. */
export interface SitePublishing {
  kind: 'stand-in' | 'folder' | 'micropub' | 'zip';
  /** Of `micropub`; empty otherwise. */
  endpoint: string;
}

/** A page of the site that is no post here; `path` is its address in comparable form. */
export interface PageRow {
  siteId: string;
  path: string;
  address: string;
  title: string;
}

/** A post without its body. */
export interface PostRow {
  id: string;
  siteId: string;
  /** Counts saves; every write compares and sets it. */
  revision: number;
  /** UTC instant of the last change. */
  changed: string;
  /** UTC instant of deletion; empty: not deleted. */
  deleted: string;
  fields: PostFields;
  /** The post that this one was begun from. */
  startedFrom?: string;
  /** How it was sent out last; not there: it never was. */
  release?: PostRelease;
  /** What must have been mended before it went out and was let pass, with the reason. */
  overruled?: { item: string; why: string; at: string }[];
  /** What reviewers said of it; not there: nobody did. */
  review?: Review;
}

/** How a post was sent to where it is published. */
export interface PostRelease {
  /** Where it stands. */
  url: string;
  /** The endpoint that it was sent to; empty: the blog beside the application. */
  endpoint: string;
  /** The version that it has there; null: the host cannot tell. */
  version: string | null;
  /** UTC instant at which it was sent. */
  sentAt: string;
  /** The version of the post that was sent, which is kept. */
  versionId: string;
  /** UTC instant from which readers can open it. */
  out: string;
  /** The same as it was wished for, on the clock of a zone. */
  local: string;
  zone: string;
  withdrawn: boolean;
}

/** Points of the house's checklist that are ticked for a post, by their ids. */
export interface TickRow {
  siteId: string;
  postId: string;
  items: string[];
  /** UTC instant of the last change; not there: none since that is kept. */
  changed?: string;
}

export interface BodyRow {
  postId: string;
  siteId: string;
  draft: Draft;
  outline: OutlineItem[];
}

/** Why a version was kept. */
export type VersionReason =
  | 'time'
  | 'named'
  | 'paste'
  | 'restore'
  | 'import'
  | 'aside'
  | 'trial'
  | 'published';

/** A post as it stood at an instant, with its score once that is computed. */
export interface VersionRow {
  id: string;
  siteId: string;
  postId: string;
  /** UTC instant. */
  at: string;
  reason: VersionReason;
  /** As the writer named it; empty where nobody did. */
  name: string;
  fields: PostFields;
  draft: Draft;
  outline: OutlineItem[];
  score: VersionScore | null;
}

/** What a version's record keeps of its report. */
export interface VersionScore {
  score: number;
  words: number;
  groups: GroupResult[];
  criteria: { id: string; title: string; points: number; available: number }[];
}

/** A picture of the site; `name` is its file name below `media/`. */
export interface PictureRow {
  siteId: string;
  name: string;
  sha: string;
  bytes: number;
  width: number | null;
  /** Whose it is; not there: nobody said. */
  origin?: PictureOrigin;
  /** The name of the file that this one was made of, which is kept as long as it says so here. */
  madeFrom?: string;
}

/** Where a picture comes from. */
export interface PictureOrigin {
  kind: 'unsaid' | 'own' | 'licence' | 'permission';
  /** Who took it or owns it. */
  credit: string;
  /** Under which terms, e.g. CC BY 4.0. */
  licence: string;
}

export interface BlobRow {
  sha: string;
  blob: Blob;
}

/** What lists show of a post's report; can be computed anew at any time. */
export interface ScoreRow {
  postId: string;
  siteId: string;
  /** What the score was computed from. */
  key: string;
  score: number;
  words: number;
  groups: GroupResult[];
  /** The note with the most points to win; null: nothing to mend. */
  first: { advice: string; gain: number } | null;
  /** Points to win by criterion, most first. */
  gains: [criterion: string, points: number][];
}

/** A page row for an address; null where it names no page. */
export function pageRow(siteId: string, { address, title }: SitePage): PageRow | null {
  const path = comparablePath(address);
  return path === null ? null : { siteId, path, address, title: title ?? '' };
}
