import { describe, expect, it } from 'vitest';
import { emptyFields } from '../draft/index.ts';
import { datesOfGoingOut, keptOutOfPlan } from './going-out.ts';

const NOW = '2026-11-29T12:00:00.000Z';
const dates = (date: string, out: string, local = '') =>
  datesOfGoingOut({ date }, out, local ? { kind: 'at', local, zone: 'Europe/London' } : { kind: 'now' }, NOW);

describe('a post that goes out', () => {
  it('now is of now, unless it had a date already', () => {
    expect(dates('', '')).toEqual({ status: 'published', date: NOW, updated: '' });
    expect(dates('2026-11-01', '')).toMatchObject({ date: '2026-11-01' });
    expect(dates('2027-01-01T09:00:00Z', '')).toMatchObject({ date: NOW });
    expect(dates('someday', '')).toMatchObject({ date: NOW });
  });
  it('again keeps its date, and is dated as changed', () =>
    expect(dates('2026-11-01T09:00:00Z', '2026-11-01T09:00:00Z')).toEqual({
      status: 'published',
      date: '2026-11-01T09:00:00Z',
      updated: NOW,
    }));
  it('before its time is of now', () =>
    expect(dates('2026-12-01T09:00:00Z', '2026-12-01T09:00:00Z')).toEqual({
      status: 'published',
      date: NOW,
      updated: '',
    }));
  it('at a time is scheduled for it, on the clock of the zone', () =>
    expect(dates('', '', '2027-07-01T09:00')).toEqual({
      status: 'scheduled',
      date: '2027-07-01T08:00:00.000Z',
      updated: '',
    }));
});

describe('a post of a list', () => {
  const kept = (
    given: Partial<ReturnType<typeof emptyFields>>,
    words: number | null = 500,
    passed: string[] = [],
  ) =>
    keptOutOfPlan(
      { ...emptyFields(), title: 'Tides', slug: 'tides', ...given },
      words,
      passed.map((item) => ({ item })),
    );
  it('is scheduled along with others, or stays out and says why', () => {
    expect(kept({})).toBe('');
    expect(kept({}, null)).toBe('');
    expect(kept({ title: '', slug: '' })).toBe('it needs a title and a slug');
    expect(kept({}, 60)).toBe('it has 60 words');
    expect(kept({}, 60, ['words'])).toBe('');
    expect(kept({ status: 'published' })).toBe('it is published');
  });
});
