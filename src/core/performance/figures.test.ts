import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DatedRow } from '../research/index.ts';
import {
  assumedPeriod,
  countedSpans,
  type FigurePart,
  isSoundPart,
  joinedPart,
  partId,
  partOfUndated,
  SearchHistory,
  withExport,
  withPeriod,
} from './index.ts';

const row = (day: string, more: Partial<DatedRow> = {}): DatedRow => ({
  query: 'tide table',
  page: '/tides',
  clicks: 2,
  impressions: 20,
  position: 5,
  from: day,
  to: day,
  ...more,
});
const period = (from: string, to: string, more: Partial<DatedRow> = {}): DatedRow => ({
  ...row(from, more),
  from,
  to,
});
const source = { name: 'a.csv', date: '2026-11-16' };
const brought = (...exports: DatedRow[][]): FigurePart[] =>
  exports.reduce<FigurePart[]>(
    (parts, rows, at) => withExport(parts, rows, { ...source, name: `${at}.csv` }).parts,
    [],
  );
const history = (...exports: DatedRow[][]) => new SearchHistory(brought(...exports), (address) => address);
const all = (of: SearchHistory, path = '/tides') => of.sum(path, of.window(of.reach!.from, of.reach!.to));

describe('exports that are brought one after the other', () => {
  it('count nothing twice: what is known gets the figures that were read last', () => {
    const first = [row('2026-10-30'), row('2026-10-31')];
    const { parts, count } = withExport(
      brought(first),
      [row('2026-10-31', { clicks: 3 }), row('2026-11-01')],
      source,
    );
    expect(count).toEqual({ fresh: 1, changed: 1, same: 0 });
    expect(all(new SearchHistory(parts, (page) => page))).toEqual({
      clicks: 7,
      impressions: 60,
      position: 5,
    });
    expect(withExport(parts, first.slice(0, 1), source).count).toEqual({ fresh: 0, changed: 0, same: 1 });
  });

  it('lie by months where their days are known, and as periods where not', () => {
    const parts = brought([row('2026-10-31'), row('2026-11-02')], [period('2026-08-01', '2026-10-31')]);
    expect(parts.map(partId)).toEqual([
      'period 2026-08-01 2026-10-31',
      'day 2026-10-01 2026-10-31',
      'day 2026-11-01 2026-11-30',
    ]);
    // Nothing was shown on the first of November, and that is known.
    expect(parts[2].known).toEqual([0, 1]);
    expect(parts.every(isSoundPart)).toBe(true);
  });

  const anyRow = fc
    .record({
      day: fc.integer({ min: 0, max: 70 }),
      query: fc.constantFrom('tide', 'Tide', 'constructor', '__proto__', 'ebb', ''),
      page: fc.constantFrom('/a', '/b', 'toString'),
      impressions: fc.integer({ min: 0, max: 50 }),
    })
    .map(({ day, query, page, impressions }): DatedRow => {
      const on = new Date(Date.UTC(2026, 8, 1 + day)).toISOString().slice(0, 10);
      return row(on, { query, page, impressions, clicks: Math.floor(impressions / 7) });
    });

  it('give the same whether rows come in one file or in several, and whatever comes twice', () => {
    fc.assert(
      fc.property(fc.array(anyRow, { maxLength: 40 }), fc.nat(), (rows, cut) => {
        const unique = [
          ...new Map(rows.map((one) => [`${one.from} ${one.query.toLowerCase()} ${one.page}`, one])).values(),
        ];
        const at = unique.length === 0 ? 0 : cut % unique.length;
        const apart = history(unique.slice(0, at), unique.slice(at), unique.slice(0, at));
        const together = history(unique);
        for (const path of together.paths) expect(all(apart, path)).toEqual(all(together, path));
      }),
    );
  });

  it('merge part by part with what another machine brought', () => {
    const [here] = brought([row('2026-10-30'), row('2026-10-31')]);
    const [there] = brought([row('2026-10-31', { clicks: 9 }), row('2026-10-29')]);
    const joined = joinedPart(here, there);
    expect(joined.known).toEqual([28, 29, 30]);
    expect(all(new SearchHistory([joined], (page) => page)).clicks).toBe(13);
  });

  it('are of the three months before they were read where nobody said of which', () => {
    expect(assumedPeriod('2026-11-16')).toEqual({ from: '2026-08-16', to: '2026-11-15' });
    const { from: _from, to: _to, ...undated } = row('2026-01-01');
    const part = partOfUndated([undated], source);
    expect(part).toMatchObject({ from: '2026-08-16', to: '2026-11-15', isAssumed: true, clicks: [2] });
    expect(withPeriod(part, { from: '2026-09-01', to: '2026-09-30' })).toMatchObject({ from: '2026-09-01' });
    expect(withPeriod(part, { from: '2026-09-01', to: '2026-09-30' }).known).toHaveLength(30);
    expect(withPeriod(part, { from: '2026-09-01', to: '2026-09-30' })).not.toHaveProperty('isAssumed');
  });

  it('are refused where their columns do not fit together', () => {
    const [part] = brought([row('2026-10-30')]);
    for (const broken of [
      { ...part, clicks: [] },
      { ...part, page: [3] },
      { ...part, day: [31] },
      { ...part, known: [40] },
      { ...part, to: '2026-09-01' },
    ])
      expect(isSoundPart(broken)).toBe(false);
  });
});

describe('the days that count', () => {
  it('are single ones before a period of the same days', () => {
    const rows = Array.from({ length: 20 }, (_, at) => row(`2026-10-${String(at + 1).padStart(2, '0')}`));
    const parts = brought(rows, [period('2026-10-01', '2026-10-31')]);
    expect(countedSpans(parts)).toMatchObject({ leftOut: [1] });
    expect(countedSpans(parts).spans).toHaveLength(20);
  });

  it('are those of a period where a few days alone are known of it', () => {
    const parts = brought([row('2026-10-01'), row('2026-10-02')], [period('2026-10-01', '2026-10-31')]);
    const { spans, leftOut } = countedSpans(parts);
    expect(spans.map(({ from, to }) => [from, to])).toEqual([['2026-10-01', '2026-10-31']]);
    expect(leftOut).toEqual([0]);
  });

  it('never share a day, and lie in order, whatever was brought', () => {
    const span = fc
      .tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 40 }))
      .map(([from, length]) => {
        const at = (days: number) => new Date(Date.UTC(2026, 0, 1 + days)).toISOString().slice(0, 10);
        return period(at(from), at(from + length));
      });
    fc.assert(
      fc.property(fc.array(fc.array(span, { minLength: 1, maxLength: 6 }), { maxLength: 6 }), (exports) => {
        const { spans } = countedSpans(brought(...exports));
        for (let at = 1; at < spans.length; at++) expect(spans[at].from > spans[at - 1].to).toBe(true);
      }),
    );
  });
});

describe('the history of a page', () => {
  it('is one for all its addresses, those from before it moved included', () => {
    const parts = brought([
      row('2026-10-01', { page: 'https://www.saltmarsh.example/tides/' }),
      row('2026-10-02', { page: 'https://saltmarsh.example/old-tides' }),
      row('2026-10-02', { page: 'https://elsewhere.example/tides' }),
    ]);
    const of = new SearchHistory(parts, (address) => (address.includes('elsewhere') ? null : '/tides'));
    expect(of.paths).toEqual(['/tides']);
    expect(all(of)).toMatchObject({ clicks: 4, impressions: 40 });
  });

  it('takes a page’s own sum where it is known: its queries add up to less', () => {
    const of = history([
      row('2026-10-01', { query: 'tide', clicks: 2, impressions: 20 }),
      row('2026-10-01', { query: '', clicks: 5, impressions: 50, position: 8 }),
      row('2026-10-02', { query: 'tide', clicks: 1, impressions: 10 }),
    ]);
    expect(all(of)).toMatchObject({ clicks: 6, impressions: 60 });
    const window = of.window('2026-10-01', '2026-10-02');
    expect(of.queriesOf('/tides', window)).toMatchObject([{ query: 'tide', clicks: 3, impressions: 30 }]);
    expect(of.merged(window).map(({ query, clicks }) => [query, clicks])).toEqual([
      ['tide', 3],
      ['', 3],
    ]);
    // What a figure opens to adds up to it.
    expect(of.rows(window, '/tides').reduce((sum, { clicks }) => sum + clicks, 0)).toBe(6);
    expect(of.rows(window, '/tides', ['TIDE']).reduce((sum, { clicks }) => sum + clicks, 0)).toBe(3);
  });

  it('ends with three months that stand for now, or with the last period', () => {
    const days = Array.from({ length: 200 }, (_, at) =>
      row(new Date(Date.UTC(2026, 3, 30 + at)).toISOString().slice(0, 10)),
    );
    expect(history(days).latest()).toMatchObject({ from: '2026-08-16', to: '2026-11-15', days: 92 });
    expect(history([period('2026-01-01', '2026-06-30')]).latest()).toMatchObject({
      from: '2026-01-01',
      days: 181,
    });
    expect(new SearchHistory([], (page) => page).latest()).toBeNull();
  });

  it('is told by weeks that end with its last day', () => {
    const days = Array.from({ length: 16 }, (_, at) => row(`2026-10-${String(at + 1).padStart(2, '0')}`));
    const weeks = history([period('2026-07-01', '2026-08-31'), ...days]).weeks('/tides');
    expect(weeks.map(({ from, to, days: count, clicks }) => [from, to, count, clicks])).toEqual([
      ['2026-07-01', '2026-08-31', 62, 2],
      ['2026-10-01', '2026-10-02', 2, 4],
      ['2026-10-03', '2026-10-09', 7, 14],
      ['2026-10-10', '2026-10-16', 7, 14],
    ]);
  });
});
