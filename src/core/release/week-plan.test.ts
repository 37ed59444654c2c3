import { describe, expect, it } from 'vitest';
import { type PlanWish, planTimes } from './week-plan.ts';

const wish = (more: Partial<PlanWish> = {}): PlanWish => ({
  from: '2026-12-01',
  weekdays: [1, 3, 5],
  times: ['09:00'],
  gap: 0,
  zone: 'Europe/London',
  ...more,
});
const NOW = '2026-11-29T12:00:00.000Z';
const localOf = (count: number, more: Partial<PlanWish> = {}, now = NOW) =>
  planTimes(count, wish(more), now).map(({ local }) => local);

describe('a row of posts', () => {
  it('goes out on the days of the week that were chosen, in order', () =>
    expect(localOf(4)).toEqual([
      '2026-12-02T09:00',
      '2026-12-04T09:00',
      '2026-12-07T09:00',
      '2026-12-09T09:00',
    ]));
  it('several times a day, the earliest first', () =>
    expect(localOf(3, { times: ['17:30', '09:00'] })).toEqual([
      '2026-12-02T09:00',
      '2026-12-02T17:30',
      '2026-12-04T09:00',
    ]));
  it('with days in between', () =>
    expect(localOf(3, { weekdays: [1, 2, 3, 4, 5, 6, 7], gap: 2 })).toEqual([
      '2026-12-01T09:00',
      '2026-12-04T09:00',
      '2026-12-07T09:00',
    ]));
  it('never in the past', () =>
    expect(localOf(1, { weekdays: [2], times: ['08:00', '09:00'] }, '2026-12-01T08:30:00.000Z')).toEqual([
      '2026-12-01T09:00',
    ]));
  it('at the same hour before and after the clocks change', () => {
    const planned = planTimes(2, wish({ from: '2027-03-26', weekdays: [5, 1] }), NOW);
    expect(planned).toEqual([
      { local: '2027-03-26T09:00', instant: '2027-03-26T09:00:00.000Z' },
      { local: '2027-03-29T09:00', instant: '2027-03-29T08:00:00.000Z' },
    ]);
  });
  it('nowhere without a day, a time, or a first day', () => {
    expect(localOf(2, { weekdays: [] })).toEqual([]);
    expect(localOf(2, { times: ['soon'] })).toEqual([]);
    expect(localOf(2, { from: '' })).toEqual([]);
  });
});
