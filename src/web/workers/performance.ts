import { Vocabulary, WordBases } from '../../core/language/index.ts';
import {
  asksForSite,
  type ChangeEffect,
  type ControlPage,
  type CurveRank,
  changeEffect,
  controlsOf,
  type EffectFigure,
  type HistoryRow,
  type LosingPage,
  latestAndBefore,
  losingPages,
  type NoWindows,
  ownCurve,
  type PageChange,
  type QuerySum,
  rankOf,
  SaidByPost,
  type SearchSum,
  seasonRowsOf,
  type UnansweredQuery,
  type UnderCurve,
  unansweredQueries,
  underCurve,
  type WeekSum,
  type Window,
} from '../../core/performance/index.ts';
import type { DatedRow, DaySpan } from '../../core/research/index.ts';
import { researchRulesOf } from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import type { PostRow } from '../data/post-rows.ts';
import { finishedBody } from '../data/posts.ts';
import { searchHistoryOf } from '../data/search-history.ts';
import { stillWanted } from './called-off.ts';
import {
  hostNameOf,
  type NamedPage,
  type PerformanceScene,
  performanceSceneOf,
  rowsOfOthers,
} from './performance-scene.ts';

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

/** Weeks that a small drawing shows. */
const DRAWN_WEEKS = 26;
/** Days in which clicks are counted and told. */
export const FOUR_WEEKS = 28;

const effectsOf = ({ pages, named }: PerformanceScene): EffectLine[] =>
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
  scene: PerformanceScene,
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

/** What came of the site's pages, read off a scene; null: no day is known. */
export function performanceIn(scene: PerformanceScene): PerformanceView | null {
  const latest = scene.history.latest();
  if (!latest) return null;
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
}

/** What came of posts in search. */
export const performanceLooks = {
  /** The site's pages over time: which lose and why, whose titles are opened too seldom, what came of changes. Null: nothing was brought. */
  async performance(siteId: string): Promise<PerformanceView | null> {
    const scene = await performanceSceneOf(siteId);
    return scene && performanceIn(scene);
  },

  /** One page over time; null: nothing is known of it. */
  async pagePerformance(siteId: string, path: string): Promise<PageView | null> {
    const scene = await performanceSceneOf(siteId);
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

  /** The rows that a figure is made of, by window. A path, or queries, that are null stand for all. */
  async performanceRows(
    siteId: string,
    windows: readonly DaySpan[],
    path: string | null,
    queries: readonly string[] | null,
  ): Promise<HistoryRow[][]> {
    const history = await searchHistoryOf(siteId);
    return windows.map(({ from, to }) => history?.rows(history.window(from, to), path, queries) ?? []);
  },

  /** The pages that a change of a page was held against, for one of the figures of what came of it. */
  async controlPages(
    siteId: string,
    path: string,
    change: PageChange,
    of: EffectFigure,
  ): Promise<(ControlPage & NamedPage)[]> {
    const scene = await performanceSceneOf(siteId);
    return scene
      ? controlsOf(scene.pages, path, change, of).map((page) => ({ ...scene.named(page.path), ...page }))
      : [];
  },

  /** The queries that the season around a change of a page is worked out from. */
  async changeSeason(
    siteId: string,
    path: string,
    change: PageChange,
  ): Promise<ReturnType<typeof seasonRowsOf>> {
    const scene = await performanceSceneOf(siteId);
    return scene && seasonRowsOf(scene.pages, path, change);
  },

  /** The queries that stand at a rank of the click-rate curve, each with its page, those shown most first. */
  async rowsAtRank(siteId: string, rank: number): Promise<DatedRow[]> {
    const scene = await performanceSceneOf(siteId);
    const latest = scene?.history.latest();
    if (!scene || !latest) return [];
    return rowsOfOthers(scene, latest)
      .filter(({ position }) => rankOf(position) === rank)
      .sort((a, b) => b.impressions - a.impressions || (a.query < b.query ? -1 : 1));
  },

  /** Queries that posts are shown for and do not answer yet; those shown most first. `tell` hears how far it is, 0-1. */
  async unanswered(
    siteId: string,
    job: string,
    tell: (done: number) => void,
  ): Promise<(UnansweredQuery & NamedPage)[]> {
    const scene = await performanceSceneOf(siteId);
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
};
