import { describe, expect, it } from 'vitest';
import { dateIn, dayBefore, dayIn, isZone, monthIn, timeIn } from './index.ts';

describe('days and times in a zone', () => {
  // An hour before midnight of the year in London.
  const instant = new Date('2026-12-31T23:30:00Z');
  it.each([
    ['Europe/London', '2026-12-31', '23:30', 11],
    ['Asia/Tokyo', '2027-01-01', '08:30', 0],
    ['America/Los_Angeles', '2026-12-31', '15:30', 11],
    ['Pacific/Kiritimati', '2027-01-01', '13:30', 0],
  ])('%s', (zone, day, time, month) => {
    expect([dayIn(zone, instant), timeIn(zone, instant), monthIn(zone, instant)]).toEqual([day, time, month]);
    expect(dateIn(zone, instant).toISOString()).toBe(`${day}T00:00:00.000Z`);
  });
  it('a day without a time is that day everywhere', () => {
    for (const zone of ['America/Los_Angeles', 'Asia/Tokyo', 'UTC'])
      expect(dayIn(zone, '2026-11-28')).toBe('2026-11-28');
  });
  it('follow summer time', () => {
    expect(timeIn('Europe/London', '2026-07-01T12:00:00Z')).toBe('13:00');
    expect(timeIn('Europe/London', '2026-12-01T00:00:00Z')).toBe('00:00');
  });
  it('of nothing are nothing', () => expect([dayIn('UTC', 'soon'), timeIn('UTC', '')]).toEqual(['', '']));
  it('go back over months and leap days', () => {
    expect(dayBefore('2028-03-01', 1)).toBe('2028-02-29');
    expect(dayBefore('2026-01-01', 1)).toBe('2025-12-31');
  });
  it('are of zones that are known', () =>
    expect(['Europe/London', 'UTC', '', 'Mars/Base', 'constructor'].map(isZone)).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]));
});
