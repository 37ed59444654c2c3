import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { daysBetween, monthWeeks, rhythmOf, shiftDay, shiftMonth, weekOf } from './index.ts';

describe('the days of a calendar', () => {
  it('are whole weeks from Monday, with those of the months beside at the ends', () => {
    const weeks = monthWeeks('2026-12');
    expect(weeks).toHaveLength(5);
    expect([weeks[0][0], weeks[0][1], weeks[4][6]]).toEqual(['2026-11-30', '2026-12-01', '2027-01-03']);
    expect(monthWeeks('2027-02')).toHaveLength(4);
    expect(weekOf('2026-12-06')[0]).toBe('2026-11-30');
  });
  it('go on over years and leap days', () => {
    expect([shiftDay('2028-02-28', 1), shiftDay('2027-01-01', -1)]).toEqual(['2028-02-29', '2026-12-31']);
    expect([shiftMonth('2026-12', 1), shiftMonth('2026-01', -1)]).toEqual(['2027-01', '2025-12']);
  });
  it('hold every day of their month once', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2400 }), (ahead) => {
        const month = shiftMonth('1990-01', ahead);
        const days = monthWeeks(month).flat();
        expect(new Set(days).size).toBe(days.length);
        const own = days.filter((day) => day.startsWith(month));
        expect(own.length).toBe(daysBetween(`${month}-01`, `${shiftMonth(month, 1)}-01`));
      }),
    );
  });
});

describe('the rhythm of a blog', () => {
  const weekly = ['2026-10-06', '2026-10-13', '2026-10-20', '2026-10-27', '2026-11-03'];
  it('is what was usual, and gaps are what is twice as long', () => {
    const { usual, gaps, pileUps } = rhythmOf([...weekly, '2026-11-10', '2026-12-01'], '2026-11-04');
    expect(usual).toBe(7);
    expect(gaps).toEqual([{ from: '2026-11-11', to: '2026-11-30', days: 20 }]);
    expect(pileUps).toEqual([]);
  });
  it('has a gap before the first post that is planned, of which only what is to come is told', () => {
    expect(rhythmOf([...weekly, '2026-12-10'], '2026-11-20').gaps).toEqual([
      { from: '2026-11-20', to: '2026-12-09', days: 20 },
    ]);
    expect(rhythmOf([...weekly, '2026-12-10'], '2026-12-07').gaps).toEqual([]);
  });
  it('piles up where more go out on a day than is usual', () => {
    expect(rhythmOf([...weekly, '2026-11-10', '2026-11-10'], '2026-11-04').pileUps).toEqual([
      { day: '2026-11-10', posts: 2 },
    ]);
    const twice = weekly.flatMap((day) => [day, day]);
    expect(rhythmOf([...twice, '2026-11-10', '2026-11-10'], '2026-11-04').pileUps).toEqual([]);
  });
  it('is not told from too few posts, and nothing is planned where nothing is', () => {
    expect(rhythmOf(['2026-11-01'], '2026-11-04')).toEqual({ usual: null, gaps: [], pileUps: [] });
    expect(rhythmOf([], '2026-11-04')).toEqual({ usual: null, gaps: [], pileUps: [] });
    // An old post says nothing of how often posts go out now.
    expect(rhythmOf(['2019-01-01', '2026-11-20'], '2026-11-04').gaps).toEqual([
      { from: '2026-11-05', to: '2026-11-19', days: 15 },
    ]);
  });
});
