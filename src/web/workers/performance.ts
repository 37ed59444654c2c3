import { Vocabulary, WordBases } from '../../core/language/index.ts';
import {
  asksForSite,
  type ChangeEffect,
  type CurveRank,
  changeEffect,
  type HistoryRow,
  isClear,
  type LosingPage,
  latestAndBefore,
  losingPages,
  type MonthsOf,
  type NoWindows,
  ownCurve,
  type PageChange,
  type PagesInTime,
  pageChanges,
  type QuerySum,
  SaidByPost,
  type SearchHistory,
  type SearchSum,
  type SentState,
  type Thing,
  thingsThatMatter,
  type UnansweredQuery,
  type UnderCurve,
  unansweredQueries,
  underCurve,
  type WeekSum,
  type Window,
} from '../../core/performance/index.ts';
import { seasonOf, weeksUntil } from '../../core/research/index.ts';
import { dateIn, dayIn, isForReaders, postPathOf, regionOf, researchRulesOf } from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import type { PostRow, SiteRow } from '../data/post-rows.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { searchHistoryOf } from '../data/search-history.ts';
import { zoneOf } from '../data/zone-of.ts';
import { stillWanted } from './called-off.ts';
import { findNearWins } from './near-wins.ts';
import { deskOf } from './site-desk.ts';

/** A page by its path, with the post that stands there. */
export interface NamedPage {
  path: string;
  title: string;
  /** Null: a page that is no post here. */
  postId: string | null;
}

/** A page over the latest days and those before. */
export interface PageLine extends NamedPage {
  was: SearchSum;
  is: SearchSum;
  /** Clicks by week, the latest last. */
  weeks: number[];
}

/** A change of a page with what came of it. */
export interface EffectLine extends NamedPage {
  effect: ChangeEffect | NoWindows;
}

/** What came of the site's pages in search. */
export interface PerformanceView {
  /** The first and the last day that are known. */
  from: string;
  to: string;
  /** The days that are held against each other; null: too few are known. */
  before: Window | null;
  after: Window;
  pages: PageLine[];
  losing: (LosingPage & NamedPage)[];
  under: (UnderCurve & NamedPage)[];
  /** The window that the curve and the titles are of. */
  latest: Window;
  curve: CurveRank[];
  house: number[];
  effects: EffectLine[];
}

/** One page over time. */
export interface PageView extends NamedPage {
  weeks: WeekSum[];
  changes: PageChange[];
  effects: (ChangeEffect | NoWindows)[];
  latest: Window;
  queries: QuerySum[];
  unanswered: UnansweredQuery[];
}

/** A thing that matters, with its page. */
export type NamedThing = Thing & NamedPage;

/** Weeks that a small drawing shows. */
const DRAWN_WEEKS = 26;
const FOUR_WEEKS = 28;

/** All that is asked about performance, read once. */
interface Scene {
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

async function sceneOf(siteId: string): Promise<Scene | null> {
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
  for (const { id, fields } of posts) {
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

const hostNameOf = (address: string): string => {
  try {
    return new URL(address).hostname;
  } catch {
    return '';
  }
};

/** Rows of the latest figures that do not ask for the site itself. */
const rowsOfOthers = ({ site, history }: Scene, window: Window) =>
  history
    .merged(window)
    .filter(({ query }) => query !== '' && !asksForSite(query, site.name, hostNameOf(site.baseAddress)));

const effectsOf = ({ pages, named }: Scene): EffectLine[] =>
  pages.history.paths
    .flatMap((path) =>
      (pages.changes.get(path) ?? [])
        .filter(({ parts }) => parts.every(({ kind }) => kind !== 'published'))
        .map((change): EffectLine => ({ ...named(path), effect: changeEffect(pages, path, change) })),
    )
    .sort((a, b) =>
      a.effect.change.day === b.effect.change.day
        ? a.path < b.path
          ? -1
          : 1
        : a.effect.change.day < b.effect.change.day
          ? 1
          : -1,
    );

/** What a post says, and what it is for; null: its body is gone. */
async function saidBy(post: PostRow, bases: WordBases): Promise<SaidByPost | null> {
  const body = await database().bodies.get(post.id);
  return body ? new SaidByPost(post.fields, finishedBody(body), bases) : null;
}

/** Queries that a post is shown for and does not answer. */
async function unansweredOfPost(
  scene: Scene,
  post: PostRow,
  path: string,
  bases: WordBases,
): Promise<UnansweredQuery[]> {
  const said = await saidBy(post, bases);
  const latest = scene.history.latest();
  if (!said || !latest) return [];
  const host = hostNameOf(scene.site.baseAddress);
  const queries = scene.history
    .queriesOf(path, latest)
    .filter(({ query }) => !asksForSite(query, scene.site.name, host));
  const targets = scene.posts.flatMap(({ id, fields }) =>
    id !== post.id && fields.keyword ? [{ id, phrase: fields.keyword }] : [],
  );
  return unansweredQueries(queries, said, post.fields, targets);
}

/** What came of posts in search. */
export const performanceLooks = {
  /** The site's pages over time: which lose and why, whose titles are opened too seldom, what came of changes. Null: nothing was brought. */
  async performance(siteId: string): Promise<PerformanceView | null> {
    const scene = await sceneOf(siteId);
    const latest = scene?.history.latest();
    if (!scene || !latest) return null;
    const { history, named, site, pages } = scene;
    const windows = latestAndBefore(history, FOUR_WEEKS);
    const [before, after] = windows ?? [null, latest];
    const { clickCurve } = researchRulesOf(site.house);
    const rows = rowsOfOthers(scene, latest);
    const curve = ownCurve(rows, clickCurve);
    const shares = curve.map(({ share }) => share);
    const nothing: SearchSum = { clicks: 0, impressions: 0, position: null };
    const lines = history.paths
      .map(
        (path): PageLine => ({
          ...named(path),
          was: before ? history.sum(path, before) : nothing,
          is: history.sum(path, after),
          weeks: history.weeks(path, DRAWN_WEEKS).map(({ clicks }) => clicks),
        }),
      )
      .sort(
        (a, b) =>
          b.is.clicks - a.is.clicks || b.is.impressions - a.is.impressions || (a.path < b.path ? -1 : 1),
      );
    return {
      ...history.reach!,
      before,
      after,
      pages: lines,
      losing: before
        ? losingPages(history, before, after, shares, pages.monthsOf).map((page) => ({
            ...named(page.path),
            ...page,
          }))
        : [],
      under: underCurve(rows, curve, clickCurve).map((page) => ({ ...named(page.path), ...page })),
      latest,
      curve,
      house: clickCurve,
      effects: effectsOf(scene),
    };
  },

  /** One page over time; null: nothing is known of it. */
  async pagePerformance(siteId: string, path: string): Promise<PageView | null> {
    const scene = await sceneOf(siteId);
    const latest = scene?.history.latest();
    if (!scene || !latest || !scene.history.paths.includes(path)) return null;
    const { history, named, pages, posts } = scene;
    const page = named(path);
    const changes = pages.changes.get(path) ?? [];
    const post = posts.find(({ id }) => id === page.postId);
    const bases = WordBases.of(new Vocabulary());
    return {
      ...page,
      weeks: history.weeks(path),
      changes: [...changes],
      effects: [...changes].reverse().map((change) => changeEffect(pages, path, change)),
      latest,
      queries: history.queriesOf(path, latest),
      unanswered: post ? await unansweredOfPost(scene, post, path, bases) : [],
    };
  },

  /** The rows that a figure is made of. A path or query that is null stands for all. */
  async performanceRows(
    siteId: string,
    from: string,
    to: string,
    path: string | null,
    query: string | null,
  ): Promise<HistoryRow[]> {
    const history = await searchHistoryOf(siteId);
    return history?.rows(history.window(from, to), path, query) ?? [];
  },

  /** Queries that posts are shown for and do not answer yet; those shown most first. `tell` hears how far it is, 0-1. */
  async unanswered(
    siteId: string,
    job: string,
    tell: (done: number) => void,
  ): Promise<(UnansweredQuery & NamedPage)[]> {
    const scene = await sceneOf(siteId);
    if (!scene) return [];
    const bases = WordBases.of(new Vocabulary());
    const found: (UnansweredQuery & NamedPage)[] = [];
    const ids = new Map(scene.posts.map((post) => [post.id, post]));
    for (const [at, path] of scene.history.paths.entries()) {
      const page = scene.named(path);
      const post = page.postId === null ? undefined : ids.get(page.postId);
      if (post)
        for (const one of await unansweredOfPost(scene, post, path, bases)) found.push({ ...page, ...one });
      tell((at + 1) / scene.history.paths.length);
      await stillWanted(job);
    }
    return found.sort((a, b) => b.impressions - a.impressions || (a.query < b.query ? -1 : 1));
  },

  /** The three things that matter now; null: no figures were brought. */
  async thingsThatMatter(siteId: string): Promise<NamedThing[] | null> {
    const view = await performanceLooks.performance(siteId);
    const scene = await sceneOf(siteId);
    if (!view || !scene) return null;
    const wins = (await findNearWins(siteId))?.wins ?? [];
    const toFourWeeks = (clicks: number, days: number) => (clicks * FOUR_WEEKS) / Math.max(1, days);
    const things: Thing[] = [
      ...view.losing.map(
        ({ path, cause, change }): Thing => ({
          path,
          reason: { kind: 'losing', cause },
          clicks: toFourWeeks(-change, view.after.days),
        }),
      ),
      ...view.under.map(
        ({ path, missing }): Thing => ({
          path,
          reason: { kind: 'title' },
          clicks: toFourWeeks(missing, view.latest.days),
        }),
      ),
      ...wins.flatMap(({ row, page, gain }): Thing[] =>
        page
          ? [
              {
                path: row.page,
                reason: { kind: 'near-win', query: row.query, position: row.position },
                clicks: toFourWeeks(gain, view.latest.days),
              },
            ]
          : [],
      ),
      ...view.effects.flatMap(({ path, effect }): Thing[] => {
        if (!('clicks' in effect) || effect.clicks.kind !== 'effect' || effect.clicks.ratio >= 1) return [];
        if (!isClear(effect.clicks) || effect.clicksWon === null) return [];
        const { parts } = effect.change;
        const clicks = toFourWeeks(-effect.clicksWon, effect.after.days);
        return [{ path, reason: { kind: 'harmed', words: parts[0]?.words ?? '' }, clicks }];
      }),
      ...seasonThings(scene),
    ];
    return thingsThatMatter(things).map((thing) => ({ ...scene.named(thing.path), ...thing }));
  },
};

/** Weeks before a season in which a post is refreshed for it. */
const SEASON_AHEAD = 6;

/** Pages whose season is about to begin: what they would gain by it over what they have now. */
function seasonThings({ history, pages, site, named }: Scene): Thing[] {
  const latest = history.latest();
  if (!latest) return [];
  const today = dateIn(zoneOf(site), new Date());
  return history.paths.flatMap((path): Thing[] => {
    if (named(path).postId === null) return [];
    const [most] = history.queriesOf(path, latest);
    const months = most ? pages.monthsOf(most.query) : null;
    const season = seasonOf(months);
    if (!most || !months || !season || season.from === today.getUTCMonth()) return [];
    const weeks = weeksUntil(season.from, today);
    if (weeks > SEASON_AHEAD) return [];
    const mean = months.reduce((sum, month) => sum + month, 0) / 12;
    const now = months[today.getUTCMonth()] / mean;
    const clicks = (most.clicks * FOUR_WEEKS) / Math.max(1, latest.days);
    return [
      {
        path,
        reason: { kind: 'season', query: most.query, weeks },
        clicks: now > 0 ? clicks * Math.max(0, season.height / now - 1) : 0,
      },
    ];
  });
}
