import {
  asksForSite,
  type MonthsOf,
  type PageChange,
  type PagesInTime,
  pageChanges,
  type SearchHistory,
  type SentState,
  type Window,
} from '../../core/performance/index.ts';
import { dayIn, isForReaders, postPathOf, regionOf } from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import type { PostRow, SiteRow } from '../data/post-rows.ts';
import { postsOf } from '../data/posts.ts';
import { searchHistoryOf } from '../data/search-history.ts';
import { zoneOf } from '../data/zone-of.ts';
import { deskOf } from './site-desk.ts';

/** A page by its path, with the post that stands there. */
export interface NamedPage {
  path: string;
  title: string;
  /** Null: a page that is no post here. */
  postId: string | null;
}

/** All that is asked about performance, read once. */
export interface PerformanceScene {
  site: SiteRow;
  posts: PostRow[];
  history: SearchHistory;
  pages: PagesInTime;
  named: (path: string) => NamedPage;
}

/** States of posts as they were sent out, by post. */
async function sentStates(siteId: string, zone: string): Promise<Map<string, SentState[]>> {
  const sent = new Map<string, SentState[]>();
  const rows = await database()
    .versions.where('siteId')
    .equals(siteId)
    .filter(({ reason }) => reason === 'published')
    .toArray();
  for (const { postId, at, fields, draft } of rows) {
    // What was handed over for a later day changed nothing for readers before it.
    const out = Date.parse(fields.date) > Date.parse(at) ? fields.date : at;
    const states = sent.get(postId) ?? [];
    states.push({ day: dayIn(zone, out), document: { fields, draft } });
    sent.set(postId, states);
  }
  return sent;
}

/** A site's performance with all that judging it needs; null: the site is gone, or nothing was brought. */
export async function performanceSceneOf(siteId: string): Promise<PerformanceScene | null> {
  const [site, history, posts] = await Promise.all([
    database().sites.get(siteId),
    searchHistoryOf(siteId),
    postsOf(siteId),
  ]);
  if (!site || !history?.reach) return null;
  const zone = zoneOf(site);
  const [sent, desk, others] = await Promise.all([
    sentStates(siteId, zone),
    deskOf(siteId),
    database().pages.where('siteId').equals(siteId).toArray(),
  ]);
  const settings = { ...site, pages: null };
  const byPath = new Map<string, NamedPage>(
    others.map(({ path, title, address }) => [path, { path, title: title || address, postId: null }]),
  );
  const changes = new Map<string, PageChange[]>();
  // A draft may be meant for an address at which a post stands: that one comes last, and is it.
  const inOrder = [...posts].sort(
    (a, b) => Number(isForReaders(a.fields.status)) - Number(isForReaders(b.fields.status)),
  );
  for (const { id, fields } of inOrder) {
    const path = postPathOf(fields, settings);
    if (path === null) continue;
    byPath.set(path, { path, title: fields.title || fields.slug || 'Untitled', postId: id });
    const published = isForReaders(fields.status) && fields.date ? dayIn(zone, fields.date) : '';
    changes.set(path, pageChanges(sent.get(id) ?? [], published));
  }
  const region = regionOf(site);
  const months = new Map<string, readonly number[] | null>();
  const monthsOf: MonthsOf = (query) => {
    let known = months.get(query);
    if (known === undefined) {
      known = desk.keyword(query, region)?.months ?? null;
      months.set(query, known);
    }
    return known;
  };
  return {
    site,
    posts,
    history,
    pages: { history, changes, monthsOf },
    named: (path) => byPath.get(path) ?? { path, title: path, postId: null },
  };
}

/** The host name of an address; empty where it is none. */
export const hostNameOf = (address: string): string => {
  try {
    return new URL(address).hostname;
  } catch {
    return '';
  }
};

/** Rows of the latest figures that do not ask for the site itself. */
export const rowsOfOthers = ({ site, history }: PerformanceScene, window: Window) =>
  history
    .merged(window)
    .filter(({ query }) => query !== '' && !asksForSite(query, site.name, hostNameOf(site.baseAddress)));
