import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import type { DatedRow } from '../../core/research/index.ts';
import { backupData, restoreBackup, writeBackup } from './backup.ts';
import { database, openDatabase } from './database.ts';
import { figureRowsOf, keepExport, removeFigures, setPeriod } from './search-figures.ts';
import { latestFiguresOf, pagePathOf, searchHistoryOf } from './search-history.ts';
import { changeSite, ensureSite } from './sites.ts';
import { figureRowsOfUndated } from './undated-performance.ts';

const NOW = '2026-11-16T09:00:00Z';
const LATER = '2026-11-17T09:00:00Z';
const source = { name: 'days.csv', date: '2026-11-16' };
const row = (day: string, more: Partial<DatedRow> = {}): DatedRow => ({
  query: 'tide',
  page: 'https://saltmarsh.example/tides',
  clicks: 2,
  impressions: 20,
  position: 5,
  from: day,
  to: day,
  ...more,
});

let siteId = '';
const clicks = async () => (await latestFiguresOf(siteId))?.rows.reduce((sum, one) => sum + one.clicks, 0);
beforeEach(async () => {
  openDatabase('search-figures');
  await Promise.all(database().tables.map((table) => table.clear()));
  siteId = (await ensureSite()).id;
  await changeSite(siteId, { baseAddress: 'https://www.saltmarsh.example' });
});

describe('an export that is kept', () => {
  it('counts nothing twice, and is taken back as it came', async () => {
    await keepExport(siteId, [row('2026-11-01'), row('2026-11-02')], source, NOW);
    const { count, back } = await keepExport(
      siteId,
      [row('2026-11-02', { clicks: 5 }), row('2026-12-01')],
      source,
      LATER,
    );
    expect(count).toEqual({ fresh: 1, changed: 1, same: 0 });
    expect(await clicks()).toBe(9);
    expect(await back()).toBe('');
    expect(await clicks()).toBe(4);
    expect(await figureRowsOf(siteId)).toHaveLength(1);
  });

  it('is not taken back where figures of the same days came since', async () => {
    const { back } = await keepExport(siteId, [row('2026-11-01'), row('2026-12-01')], source, NOW);
    await keepExport(siteId, [row('2026-11-01', { clicks: 7 })], source, LATER);
    expect(await back()).toBe('Figures of the same days were brought since; those stay.');
    expect(await clicks()).toBe(7);
  });

  it('is taken out month by month, with a way back', async () => {
    await keepExport(siteId, [row('2026-10-31'), row('2026-11-01')], source, NOW);
    const [october] = await figureRowsOf(siteId);
    const back = await removeFigures(siteId, [october.id]);
    expect(await clicks()).toBe(2);
    expect(await back()).toBe('');
    expect(await clicks()).toBe(4);
  });

  it('gets other days where they were assumed, unless those are known already', async () => {
    const period = (from: string, to: string) => row(from, { from, to });
    await keepExport(siteId, [period('2026-08-16', '2026-11-15')], source, NOW);
    await keepExport(siteId, [period('2026-01-01', '2026-03-31')], source, NOW);
    const [, assumed] = await figureRowsOf(siteId);
    expect(await setPeriod(siteId, assumed.id, { from: '2026-01-01', to: '2026-03-31' }, LATER)).toBe(
      'Figures of 2026-01-01 to 2026-03-31 are known already.',
    );
    const back = await setPeriod(siteId, assumed.id, { from: '2026-07-01', to: '2026-09-30' }, LATER);
    expect((await figureRowsOf(siteId)).map(({ part }) => part.from)).toEqual(['2026-01-01', '2026-07-01']);
    expect(typeof back === 'string' ? back : await back()).toBe('');
    expect((await figureRowsOf(siteId)).map(({ part }) => part.from)).toEqual(['2026-01-01', '2026-08-16']);
    expect(await setPeriod(siteId, 'gone', { from: '2026-01-01', to: '2026-03-31' }, LATER)).toBe(
      'These figures are gone by now.',
    );
  });
});

describe('a period of days that are known one by one', () => {
  it('is kept, and does not count', async () => {
    const days = Array.from({ length: 25 }, (_, at) => row(`2026-10-${String(at + 1).padStart(2, '0')}`));
    await keepExport(siteId, days, source, NOW);
    const { notCounted } = await keepExport(
      siteId,
      [row('2026-10-01', { to: '2026-10-31', clicks: 99 })],
      source,
      LATER,
    );
    expect(notCounted).toEqual([{ from: '2026-10-01', to: '2026-10-31' }]);
    expect(await clicks()).toBe(50);
  });
});

describe('a page of the site', () => {
  it('is one under all its addresses, also those that lead to it by now', () => {
    const pathOf = pagePathOf({
      baseAddress: 'https://www.saltmarsh.example',
      redirects: [
        { from: '/old', to: '/tides', since: NOW, why: '' },
        { from: '/gone', to: null, since: NOW, why: '' },
        { from: '/away', to: 'https://elsewhere.example/tides', since: NOW, why: '' },
      ],
    });
    expect(
      [
        'http://saltmarsh.example/Tides/#low',
        '/old',
        'https://saltmarsh.example/gone',
        '/away',
        'https://other.example/tides',
      ].map(pathOf),
    ).toEqual(['/tides', '/tides', '/gone', '/away', 'https://other.example/tides']);
  });

  it('keeps its figures where it moves', async () => {
    await keepExport(siteId, [row('2026-11-01'), row('2026-11-02', { page: '/low-water' })], source, NOW);
    expect((await searchHistoryOf(siteId))?.paths).toEqual(['/tides', '/low-water']);
    await changeSite(siteId, { redirects: [{ from: '/tides', to: '/low-water', since: NOW, why: '' }] });
    expect((await searchHistoryOf(siteId))?.paths).toEqual(['/low-water']);
    expect(await clicks()).toBe(4);
  });
});

describe('a backup', () => {
  it('brings the figures of both machines together, those read later where both know a day', async () => {
    await keepExport(siteId, [row('2026-11-01'), row('2026-11-02')], source, NOW);
    const { file } = await writeBackup(NOW);
    await database().searchFigures.clear();
    await keepExport(siteId, [row('2026-11-02', { clicks: 9 }), row('2026-11-03')], source, LATER);
    const bytes = new Uint8Array(await file.arrayBuffer());
    await restoreBackup(bytes, 'merge', LATER);
    expect(await clicks()).toBe(13);
    expect((await backupData()).data.searchFigures).toHaveLength(1);
  });

  it('of earlier days has one export without its days: three months are assumed', () => {
    const { from: _from, to: _to, ...undated } = row('2026-01-01');
    const rows = figureRowsOfUndated([
      { siteId: 's', chunk: 1, source, rows: [{ ...undated, query: 'ebb' }] },
      { siteId: 's', chunk: 0, source, rows: [undated] },
    ]);
    expect(rows).toMatchObject([
      {
        siteId: 's',
        id: 'period 2026-08-16 2026-11-15',
        part: { isAssumed: true, queries: ['tide', 'ebb'], sources: [source] },
      },
    ]);
    expect(figureRowsOfUndated([])).toEqual([]);
  });
});
