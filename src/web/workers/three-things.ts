import { isClear, seasonGain, type Thing, thingsThatMatter } from '../../core/performance/index.ts';
import type { DaySpan } from '../../core/research/index.ts';
import { dateIn } from '../../core/site/index.ts';
import { zoneOf } from '../data/zone-of.ts';
import { findNearWins } from './near-wins.ts';
import { FOUR_WEEKS, performanceIn } from './performance.ts';
import { type NamedPage, type PerformanceScene, performanceSceneOf } from './performance-scene.ts';

/** The rows that the clicks at stake come of: days, the earlier first, and queries of the page; null: all of it. */
export interface ThingRows {
  windows: DaySpan[];
  queries: string[] | null;
}

/** A thing that matters, with its page and its rows. */
export type NamedThing = FoundThing & NamedPage;
type FoundThing = Thing & { rows: ThingRows };

const daysOf = ({ from, to }: DaySpan): DaySpan => ({ from, to });

/** The three things that matter now; null: no figures were brought. */
export async function findThings(siteId: string): Promise<NamedThing[] | null> {
  const scene = await performanceSceneOf(siteId);
  const view = scene && performanceIn(scene);
  if (!scene || !view) return null;
  const wins = (await findNearWins(siteId))?.wins ?? [];
  const toFourWeeks = (clicks: number, days: number) => (clicks * FOUR_WEEKS) / Math.max(1, days);
  const { before, after } = view;
  const latest = [daysOf(view.latest)];
  const things: FoundThing[] = [
    ...view.losing.map(
      ({ path, cause, change }): FoundThing => ({
        path,
        reason: { kind: 'losing', cause },
        clicks: toFourWeeks(-change, after.days),
        rows: { windows: [...(before ? [daysOf(before)] : []), daysOf(after)], queries: null },
      }),
    ),
    ...view.under.map(
      ({ path, missing, queries }): FoundThing => ({
        path,
        reason: { kind: 'title' },
        clicks: toFourWeeks(missing, view.latest.days),
        rows: { windows: latest, queries: queries.map(({ query }) => query) },
      }),
    ),
    ...wins.flatMap(({ row, page, gain }): FoundThing[] =>
      page
        ? [
            {
              path: row.page,
              reason: { kind: 'near-win', query: row.query, position: row.position },
              clicks: toFourWeeks(gain, view.latest.days),
              rows: { windows: latest, queries: [row.query] },
            },
          ]
        : [],
    ),
    ...view.effects.flatMap(({ path, effect }): FoundThing[] => {
      if (!('clicks' in effect) || effect.clicks.kind !== 'effect' || effect.clicks.ratio >= 1) return [];
      if (!isClear(effect.clicks) || effect.clicksWon === null) return [];
      const { parts } = effect.change;
      const clicks = toFourWeeks(-effect.clicksWon, effect.after.days);
      const windows = [daysOf(effect.before), daysOf(effect.after)];
      return [
        {
          path,
          reason: { kind: 'harmed', words: parts[0]?.words ?? '' },
          clicks,
          rows: { windows, queries: null },
        },
      ];
    }),
    ...seasonThings(scene),
  ];
  return thingsThatMatter(things).map((thing) => ({ ...scene.named(thing.path), ...thing }));
}

/** Pages whose season is about to begin: what they would gain by it over what they have now. */
function seasonThings({ history, pages, site, named }: PerformanceScene): FoundThing[] {
  const latest = history.latest();
  if (!latest) return [];
  const today = dateIn(zoneOf(site), new Date());
  const windows = [daysOf(latest)];
  return history.paths.flatMap((path): FoundThing[] => {
    if (named(path).postId === null) return [];
    const [most] = history.queriesOf(path, latest);
    if (!most) return [];
    const clicks = (most.clicks * FOUR_WEEKS) / Math.max(1, latest.days);
    const gain = seasonGain(clicks, pages.monthsOf(most.query), today);
    return gain
      ? [
          {
            path,
            reason: { kind: 'season', query: most.query, weeks: gain.weeks },
            clicks: gain.clicks,
            rows: { windows, queries: [most.query] },
          },
        ]
      : [];
  });
}
