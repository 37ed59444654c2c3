import { describe, expect, it } from 'vitest';
import type { DatedRow } from '../research/index.ts';
import {
  changeEffect,
  controlsOf,
  demandRatio,
  effectOf,
  isClear,
  type PageChange,
  SearchHistory,
  seasonRowsOf,
  withExport,
} from './index.ts';
import { tQuantile95 } from './student-t.ts';

/** Numbers in 0..1 that are the same at every run. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 4_294_967_296;
  };
}
const normal = (draw: () => number) => Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
function poisson(mean: number, draw: () => number): number {
  if (mean > 200) return Math.max(0, Math.round(mean + Math.sqrt(mean) * normal(draw)));
  const limit = Math.exp(-mean);
  let [count, product] = [0, draw()];
  while (product > limit) {
    product *= draw();
    count += 1;
  }
  return count;
}

describe('Student’s t', () => {
  // As every table of it has them.
  it.each([
    [1, 12.706],
    [2, 4.303],
    [3, 3.182],
    [5, 2.571],
    [10, 2.228],
    [30, 2.042],
    [120, 1.98],
  ])('with %i degrees of freedom holds 95 %% within %f', (freedom, quantile) =>
    expect(tQuantile95(freedom)).toBeCloseTo(quantile, 3),
  );
});

describe('demand by season', () => {
  const summer = [1, 1, 1, 1, 1, 2, 2, 2, 1, 1, 1, 1];
  it('is held against the same months, each query by its weight', () => {
    const months = (query: string) => (query === 'camping' ? summer : null);
    const [may, june] = [
      { from: '2026-05-01', to: '2026-05-31' },
      { from: '2026-06-01', to: '2026-06-30' },
    ];
    expect(demandRatio([{ query: 'camping', weight: 5 }], months, may, june)).toBe(2);
    expect(demandRatio([{ query: 'camping', weight: 5 }], months, june, may)).toBe(0.5);
    const half = { from: '2026-05-17', to: '2026-06-15' };
    expect(demandRatio([{ query: 'camping', weight: 5 }], months, may, half)).toBeCloseTo(1.5, 5);
    expect(demandRatio([{ query: 'constructor', weight: 5 }], months, may, june)).toBeNull();
    expect(demandRatio([{ query: 'camping', weight: 0 }], months, may, june)).toBeNull();
    expect(demandRatio([{ query: 'camping', weight: 1 }], () => Array(12).fill(0), may, june)).toBeNull();
  });
});

describe('the effect of a change', () => {
  it('is what the page did less what the others did, as the sources say', () => {
    const others = [
      { before: 100, after: 80, demand: 1 },
      { before: 200, after: 170, demand: 1 },
      { before: 60, after: 45, demand: 1 },
      { before: 300, after: 261, demand: 1 },
    ];
    const found = effectOf({ before: 100, after: 160, demand: 1 }, others, 20);
    if (found.kind !== 'effect') throw new Error(found.why);
    // By hand: log ratios with a half added, weights by counts, no spread beyond counting.
    const logs = others.map(({ before, after }) => Math.log((after + 0.5) / (before + 0.5)));
    const variances = others.map(({ before, after }) => 1 / (after + 0.5) + 1 / (before + 0.5));
    const weights = variances.map((variance) => 1 / variance);
    const total = weights.reduce((sum, weight) => sum + weight);
    const mean = logs.reduce((sum, log, at) => sum + log * weights[at], 0) / total;
    const own = Math.log(160.5 / 100.5);
    expect(found.ratio).toBeCloseTo(Math.exp(own - mean), 10);
    expect(found.others).toBeCloseTo(Math.exp(mean), 10);
    const reach = 3.182446 * Math.sqrt(1 / total + 1 / 160.5 + 1 / 100.5);
    expect(found.high).toBeCloseTo(Math.exp(own - mean + reach), 4);
    expect(isClear(found)).toBe(true);
    // Season is no effect: twice the readers in a month with twice the demand.
    const inSeason = effectOf({ before: 100, after: 160, demand: 2 }, others, 20);
    expect(inSeason.kind === 'effect' && inSeason.ratio).toBeCloseTo(found.ratio / 2, 10);
  });

  it('is not told where too little is known, and it is said why', () => {
    const page = { before: 4, after: 9, demand: 1 };
    const other = { before: 100, after: 90, demand: 1 };
    expect(effectOf(page, [other, other, other], 20)).toEqual({
      kind: 'too-little',
      why: 'seldom-seen',
      count: 13,
      wanted: 20,
    });
    expect(effectOf(other, [other, page, other], 20)).toEqual({
      kind: 'too-little',
      why: 'few-others',
      count: 2,
      wanted: 3,
    });
  });

  it.each([
    { controls: 4, spread: 0.2, mean: 60, effect: 1 },
    { controls: 8, spread: 0.3, mean: 300, effect: 1 },
    { controls: 20, spread: 0.2, mean: 40, effect: 1.5 },
    { controls: 50, spread: 0.4, mean: 300, effect: 0.7 },
  ])(
    'lies within its interval 19 times in 20: $controls pages, spread $spread, effect $effect',
    ({ controls, spread, mean, effect }) => {
      const draw = random(controls * 1000 + mean);
      const page = (times: number) => {
        const usual = mean * Math.exp(normal(draw) * 0.8);
        const own = Math.exp(normal(draw) * spread);
        return { before: poisson(usual, draw), after: poisson(usual * own * 0.8 * times, draw), demand: 1 };
      };
      let [told, held] = [0, 0];
      for (let run = 0; run < 1500; run++) {
        const found = effectOf(
          page(effect),
          Array.from({ length: controls }, () => page(1)),
          20,
        );
        if (found.kind !== 'effect') continue;
        told += 1;
        if (found.low <= effect && effect <= found.high) held += 1;
      }
      expect(told).toBeGreaterThan(1000);
      expect(held / told).toBeGreaterThan(0.925);
    },
  );
});

describe('a change of a page', () => {
  const source = { name: 'days.csv', date: '2026-11-16' };
  const dayAt = (at: number) => new Date(Date.UTC(2026, 6, 1 + at)).toISOString().slice(0, 10);
  const CHANGED = 60;
  /** A hundred days of a page with so many clicks a day before its change and after. */
  const days = (page: string, before: number, after = before): DatedRow[] =>
    Array.from({ length: 100 }, (_, at) => ({
      query: `query of ${page}`,
      page,
      clicks: at < CHANGED ? before : after,
      impressions: 100,
      position: at < CHANGED ? 8 : 6,
      from: dayAt(at),
      to: dayAt(at),
    }));
  const title = (day: string): PageChange => ({ day, parts: [{ kind: 'meta-title', words: '' }] });
  const site = (changes: [string, PageChange[]][] = [], rows: DatedRow[] = []) => {
    const all =
      rows.length > 0
        ? rows
        : [...days('/a', 4, 8), ...['/b', '/c', '/d', '/e'].flatMap((page) => days(page, 5))];
    return {
      history: new SearchHistory(withExport([], all, source).parts, (page) => page),
      changes: new Map(changes),
      monthsOf: () => null,
    };
  };
  const at = (day: number) => title(dayAt(day));

  it('is held against four weeks before it and four from a week after it', () => {
    const found = changeEffect(site(), '/a', at(CHANGED));
    if (!('clicks' in found)) throw new Error(found.why);
    expect([found.before.from, found.before.to]).toEqual([dayAt(32), dayAt(59)]);
    expect([found.after.from, found.after.to]).toEqual([dayAt(67), dayAt(94)]);
    expect([found.was.clicks, found.is.clicks]).toEqual([112, 224]);
    expect(found.clicks).toMatchObject({ kind: 'effect', controls: 4 });
    expect(found.clicks.kind === 'effect' && found.clicks.ratio).toBeCloseTo(2, 1);
    expect(found.clicksWon).toBeCloseTo(112, -1);
  });

  it('leaves pages that changed themselves out of what it is held against', () => {
    const held = (changed: number) =>
      controlsOf(site([['/b', [at(changed)]]]), '/a', at(CHANGED), 'clicks').map(({ path }) => path);
    expect(held(70)).toEqual(['/c', '/d', '/e']);
    expect(held(10)).toEqual(['/b', '/c', '/d', '/e']);
  });

  it('opens to the pages that it was held against: what they did gives what the others did', () => {
    const pages = site();
    const found = changeEffect(pages, '/a', at(CHANGED));
    if (!('clicks' in found)) throw new Error(found.why);
    for (const of of ['clicks', 'impressions', 'position'] as const) {
      const controls = controlsOf(pages, '/a', at(CHANGED), of);
      const effect = found[of];
      expect(effect.kind === 'effect' && effect.controls).toBe(controls.length);
    }
    const controls = controlsOf(pages, '/a', at(CHANGED), 'clicks');
    const again = effectOf(
      { before: found.was.clicks, after: found.is.clicks, demand: 1 },
      controls.map(({ was, is, demand }) => ({ before: was.clicks, after: is.clicks, demand })),
      20,
    );
    expect(again).toEqual(found.clicks);
    // Of a page that was not there before, nothing can be told, and it is held against none.
    const published = { day: dayAt(CHANGED), parts: [{ kind: 'published' as const, words: '' }] };
    expect(controlsOf(pages, '/a', published, 'clicks')).toEqual([]);
    expect(seasonRowsOf(pages, '/a', published)).toBeNull();
  });

  it('has a season that opens to the queries that it is worked out from, of the site where none is known', () => {
    const year = [1, 1, 1, 1, 1, 2, 4, 3, 1, 1, 1, 1];
    const pages = { ...site(), monthsOf: (query: string) => (query === 'query of /a' ? year : null) };
    for (const path of ['/a', '/b']) {
      const season = seasonRowsOf(pages, path, at(CHANGED));
      const found = changeEffect(pages, path, at(CHANGED));
      if (!season || !('demand' in found)) throw new Error('no season');
      const sum = (of: 'before' | 'after') =>
        season.rows.reduce((total, row) => total + row.shown * row[of], 0);
      expect(sum('after') / sum('before')).toBeCloseTo(found.demand ?? Number.NaN, 10);
      expect(season.rows.map(({ query }) => query)).toEqual(['query of /a']);
      expect(season.isOfSite).toBe(path === '/b');
    }
    expect(seasonRowsOf(site(), '/a', at(CHANGED))).toBeNull();
  });

  it.each([
    ['too early', 10, 'too-early', 10],
    ['too late', 85, 'too-late', 8],
  ])('is %s to be told', (_name, day, why, known) => {
    expect(changeEffect(site(), '/a', at(day))).toMatchObject({ why, days: known, wanted: 14 });
  });

  it('is not told where another change is near, and with fewer weeks where one is nearer than four', () => {
    const near = [at(CHANGED - 5), at(CHANGED)];
    expect(changeEffect(site([['/a', near]]), '/a', near[1])).toMatchObject({ why: 'other-change' });
    const apart = [at(CHANGED - 28), at(CHANGED)];
    const found = changeEffect(site([['/a', apart]]), '/a', apart[1]);
    expect('before' in found && found.before.days).toBe(21);
    const published = { day: dayAt(CHANGED), parts: [{ kind: 'published' as const, words: '' }] };
    expect(changeEffect(site(), '/a', published)).toMatchObject({ why: 'publication' });
  });

  it('is held against periods of several lengths where no days are known', () => {
    const periods = (page: string, before: number, after: number): DatedRow[] => [
      { ...days(page, before)[0], clicks: before, from: '2026-05-01', to: '2026-06-30' },
      { ...days(page, after)[0], clicks: after, from: '2026-07-01', to: '2026-07-31' },
    ];
    const rows = [
      // Half the days: half the clicks are as many.
      ...periods('/a', 610, 620),
      ...['/b', '/c', '/d'].flatMap((page) => periods(page, 610, 310)),
    ];
    const found = changeEffect(site([], rows), '/a', title('2026-07-01'));
    if (!('clicks' in found) || found.clicks.kind !== 'effect') throw new Error('too little');
    expect(found.clicks.ratio).toBeCloseTo(2, 1);
    expect(found.clicks.others).toBeCloseTo(1, 2);
  });
});
