import { describe, expect, it } from 'vitest';
import { seasonBands } from './index.ts';

const year = (high: readonly number[]) =>
  Array.from({ length: 12 }, (_, month) => (high.includes(month) ? 300 : 100));

describe('seasons on a calendar', () => {
  it('last from the first month that stands out to the last, and are written for six weeks before', () => {
    expect(
      seasonBands([{ phrase: 'bike camping', months: year([4, 5, 6]) }], '2027-03-01', '2027-03-31'),
    ).toEqual([
      {
        phrase: 'bike camping',
        writeBy: '2027-03-20',
        from: '2027-05-01',
        to: '2027-07-31',
        peak: 4,
        height: 2,
      },
    ]);
  });
  it('go on over the turn of the year', () => {
    const winter = [{ phrase: 'winter storage', months: year([11, 0]) }];
    for (const [from, to] of [
      ['2026-12-01', '2026-12-31'],
      ['2027-01-01', '2027-01-31'],
    ])
      expect(seasonBands(winter, from, to)).toMatchObject([{ from: '2026-12-01', to: '2027-01-31' }]);
    expect(seasonBands(winter, '2027-02-01', '2027-02-28')).toEqual([]);
  });
  it('are none where every month is like the others, or nothing is known', () => {
    const phrases = [
      { phrase: 'bike', months: year([]) },
      { phrase: 'constructor', months: null },
      { phrase: 'nothing', months: Array(12).fill(0) },
    ];
    expect(seasonBands(phrases, '2026-01-01', '2026-12-31')).toEqual([]);
  });
});
