import { describe, expect, it } from 'vitest';
import { dayInWords, timeInWords } from './day.ts';

const now = new Date('2026-11-28T02:00:00Z');

describe('a day in words', () => {
  it.each([
    ['2026-11-28T01:00:00Z', 'Europe/London', 'today'],
    ['2026-11-28T01:00:00Z', 'America/New_York', 'today'],
    ['2026-11-27T12:00:00Z', 'Europe/London', 'yesterday'],
    // Two in the morning in London is the evening before in New York.
    ['2026-11-27T12:00:00Z', 'America/New_York', 'today'],
    ['2026-11-03T12:00:00Z', 'Europe/London', '3 Nov'],
    ['2025-11-03T12:00:00Z', 'Europe/London', '3 Nov 2025'],
    // Without a time of day it is that day, west of London too.
    ['2026-11-03', 'America/Los_Angeles', '3 Nov'],
    ['next week', 'UTC', 'next week'],
  ])('%s in %s is %s', (instant, zone, words) => expect(dayInWords(instant, zone, now)).toBe(words));
  it('has its time of day', () => {
    expect(timeInWords('2026-11-28T14:06:00Z', 'Asia/Tokyo')).toBe('23:06');
    expect(timeInWords('', 'UTC')).toBe('');
  });
});
