import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instantAt, localTime } from './local-time.ts';

describe('a time on the clock of a zone', () => {
  it.each([
    ['Europe/London', '2026-12-01T09:00', '2026-12-01T09:00:00.000Z'],
    ['Europe/London', '2026-07-01T09:00', '2026-07-01T08:00:00.000Z'],
    ['Asia/Kathmandu', '2026-07-01T09:00', '2026-07-01T03:15:00.000Z'],
    ['America/New_York', '2026-11-30T23:30', '2026-12-01T04:30:00.000Z'],
    ['Pacific/Kiritimati', '2026-01-01T00:00', '2025-12-31T10:00:00.000Z'],
    // Shown twice: the first.
    ['Europe/London', '2026-10-25T01:30', '2026-10-25T00:30:00.000Z'],
    // Left out: as much later as the clock was put on.
    ['Europe/London', '2026-03-29T01:30', '2026-03-29T01:30:00.000Z'],
  ])('in %s at %s is %s', (zone, local, instant) => expect(instantAt(zone, local)).toBe(instant));
  it('nine in the morning stays nine, whatever the clocks do in between', () => {
    const days = Array.from({ length: 400 }, (_, at) =>
      new Date(Date.parse('2026-01-01T00:00:00Z') + at * 86_400_000).toISOString().slice(0, 10),
    );
    for (const zone of ['Europe/London', 'America/New_York', 'Australia/Lord_Howe', 'Africa/Casablanca'])
      for (const day of days) expect(localTime(zone, instantAt(zone, `${day}T09:00`))).toBe(`${day}T09:00`);
  });
  it('comes back from any instant', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1990-01-01'), max: new Date('2060-01-01'), noInvalidDate: true }),
        fc.constantFrom('Europe/London', 'Asia/Tokyo', 'America/St_Johns', 'Pacific/Apia'),
        (date, zone) => {
          const local = localTime(zone, date.toISOString());
          expect(localTime(zone, instantAt(zone, local))).toBe(local);
        },
      ),
    );
  });
  it.each(['', 'tomorrow', '2026-13-01T09:00', '2026-12-01'])('is none in %j', (text) =>
    expect(instantAt('Europe/London', text)).toBe(''),
  );
});
