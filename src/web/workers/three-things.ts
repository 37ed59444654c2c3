import { isClear, seasonGain, type Thing, thingsThatMatter } from '../../core/performance/index.ts';
import { dateIn } from '../../core/site/index.ts';
import { zoneOf } from '../data/zone-of.ts';
import { findNearWins } from './near-wins.ts';
import { FOUR_WEEKS, performanceIn } from './performance.ts';
import { type NamedPage, type PerformanceScene, performanceSceneOf } from './performance-scene.ts';

/** A thing that matters, with its page. */
export type NamedThing = Thing & NamedPage;

/** The three things that matter now; null: no figures were brought. */
export async function findThings(siteId: string): Promise<NamedThing[] | null> {
  const scene = await performanceSceneOf(siteId);
  const view = scene && performanceIn(scene);
  if (!scene || !view) return null;
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
}

/** Pages whose season is about to begin: what they would gain by it over what they have now. */
function seasonThings({ history, pages, site, named }: PerformanceScene): Thing[] {
  const latest = history.latest();
  if (!latest) return [];
  const today = dateIn(zoneOf(site), new Date());
  return history.paths.flatMap((path): Thing[] => {
    if (named(path).postId === null) return [];
    const [most] = history.queriesOf(path, latest);
    if (!most) return [];
    const clicks = (most.clicks * FOUR_WEEKS) / Math.max(1, latest.days);
    const gain = seasonGain(clicks, pages.monthsOf(most.query), today);
    return gain
      ? [{ path, reason: { kind: 'season', query: most.query, weeks: gain.weeks }, clicks: gain.clicks }]
      : [];
  });
}
