import { describe, expect, it } from 'vitest';
import { supersededCopies } from './index.ts';

const NOW = '2026-11-20T12:00:00.000Z';
const hoursAgo = (hours: number) => new Date(Date.parse(NOW) - hours * 3_600_000).toISOString();

describe('copies kept by the hour', () => {
  it('all stay for a day, then the last of each day for a week', () => {
    const hourly = Array.from({ length: 24 * 10 }, (_, hours) => hoursAgo(hours));
    const gone = new Set(supersededCopies(hourly, NOW));
    const kept = hourly.filter((instant) => !gone.has(instant));
    expect(kept.slice(0, 25)).toEqual(hourly.slice(0, 25));
    expect(kept.slice(25)).toEqual(
      ['18', '17', '16', '15', '14', '13'].map((day) => `2026-11-${day}T23:00:00.000Z`),
    );
  });
  it('never lose the newest, however old it is', () =>
    expect(supersededCopies([hoursAgo(2000), hoursAgo(2001)], NOW)).toEqual([hoursAgo(2001)]));
  it('stay where a clock was set back', () =>
    expect(supersededCopies([hoursAgo(-400), hoursAgo(-390), hoursAgo(1)], NOW)).toEqual([]));
});
