import { describe, expect, it } from 'vitest';
import { type Case, share } from '../judge.test-data.ts';

describe('keyword-title', () => {
  it.each<[string, Case, number | null]>([
    ['no keyword', { title: 'Bike tour' }, 0],
    ['exact', { keyword: 'bike tour', title: 'Your bike tour' }, 1],
    ['hyphenated', { keyword: 'bike tour', title: 'Your bike-tour' }, 1],
    ['inflected', { keyword: 'bike tour', title: 'Bike touring' }, 0.9],
    ['reordered', { keyword: 'bike tour', title: 'Tour by bike' }, 0.6],
    ['half of it', { keyword: 'bike tour', title: 'Your bike' }, 0],
  ])('%s', (_, given, expected) => expect(share('keyword-title', given)).toBe(expected));
});
