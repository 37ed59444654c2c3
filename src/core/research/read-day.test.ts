import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOrderOf, periodInName, previewPerformance, readDays, readPerformance } from './index.ts';

describe('the days that a cell tells', () => {
  it.each([
    ['2026-11-03', '2026-11-03', '2026-11-03'],
    ['2026-11-03T00:00:00Z', '2026-11-03', '2026-11-03'],
    ['20261103', '2026-11-03', '2026-11-03'],
    ['2026/11/03', '2026-11-03', '2026-11-03'],
    ['3 Nov 2026', '2026-11-03', '2026-11-03'],
    ['Nov 3, 2026', '2026-11-03', '2026-11-03'],
    ['3rd November 2026', '2026-11-03', '2026-11-03'],
    ['2026-02', '2026-02-01', '2026-02-28'],
    ['Feb 2028', '2028-02-01', '2028-02-29'],
  ])('of "%s" are %s to %s', (cell, from, to) => expect(readDays(cell, 'day-first')).toEqual({ from, to }));

  it('are written in either order, told by a number that is no month', () => {
    expect(readDays('03/11/2026', 'day-first')?.from).toBe('2026-11-03');
    expect(readDays('03/11/2026', 'month-first')?.from).toBe('2026-03-11');
    expect(dayOrderOf(['01/02/2026', '01/13/2026'])).toBe('month-first');
    expect(dayOrderOf(['01/02/2026', '13/01/2026'])).toBe('day-first');
    expect(dayOrderOf(['01/02/2026'], 'month-first')).toBe('month-first');
  });

  it.each([
    '2026-02-30',
    '31/31/2026',
    '0000-01-01',
    'yesterday',
    'constructor',
    '',
    'Nov',
    '12',
    'May be 2026 so 3 4 5',
  ])('of "%s" are none', (cell) => expect(readDays(cell, 'day-first')).toBeNull());

  it('are real days in order, or none, whatever stands there', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[\d/.\- ]{1,12}$/)), (cell) => {
        const found = readDays(cell, 'month-first');
        if (!found) return;
        expect(found.from <= found.to).toBe(true);
        expect(new Date(`${found.from}T00:00:00Z`).toISOString().slice(0, 10)).toBe(found.from);
      }),
    );
  });
});

describe('the period in the name of a file', () => {
  it.each([
    ['search-2026-08-01_2026-10-31.csv', { from: '2026-08-01', to: '2026-10-31' }],
    ['20260801-20261031 export.csv', { from: '2026-08-01', to: '2026-10-31' }],
    ['search-2026-10-31_2026-08-01.csv', null],
    ['search-2026-08-01.csv', null],
    ['performance.csv', null],
  ])('%s', (name, period) => expect(periodInName(name)).toEqual(period));
});

describe('a performance export with days', () => {
  const read = (text: string) =>
    readPerformance(text, previewPerformance(text), { from: '2026-08-01', to: '2026-10-31' });

  it('gives each row its day, and rows without one the period', () => {
    const { rows, bad } = read(
      'Date;Query;Page;Clicks;Impressions;Position\n13/10/2026;panniers;/p;3;40;5,5\n14/10/2026;panniers;/p;2;30;6\n99/99/2026;panniers;/p;2;30;6\n',
    );
    expect(rows.map(({ from, to, clicks, position }) => [from, to, clicks, position])).toEqual([
      ['2026-10-13', '2026-10-13', 3, 5.5],
      ['2026-10-14', '2026-10-14', 2, 6],
    ]);
    expect(bad).toEqual([{ line: 4, reason: '"99/99/2026" is no day such as 2026-11-03' }]);
    expect(read('query,page,clicks,impressions,position\npanniers,/p,3,40,5\n').rows[0]).toMatchObject({
      from: '2026-08-01',
      to: '2026-10-31',
    });
  });

  it('may tell pages without their queries', () => {
    const { rows, bad } = read(
      'page,date,clicks,impressions,position\n/p,2026-10-13,3,40,5\n,2026-10-13,3,40,5\n',
    );
    expect(rows).toMatchObject([{ query: '', page: '/p', clicks: 3 }]);
    expect(bad).toEqual([{ line: 3, reason: 'no page stands in it' }]);
  });

  it('adds up what it gives by country or device', () => {
    const { rows } = read(
      'query,page,date,country,clicks,impressions,position\ntide,/t,2026-10-13,GB,1,10,4\ntide,/t,2026-10-13,IE,2,30,8\n',
    );
    expect(rows).toMatchObject([{ clicks: 3, impressions: 40, position: 7 }]);
  });
});
