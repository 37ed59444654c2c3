import { describe, expect, it } from 'vitest';
import { type Case, judge, share } from '../judge.test-data.ts';

describe('meta-title-keyword', () => {
  it.each<[string, Case, number | null]>([
    ['no keyword: it applies and earns nothing', { title: 'Bike tour' }, 0],
    ['the keyword at the start', { keyword: 'bike tour', title: 'Bike tour packing: a short list' }, 1],
    [
      'the keyword in the second half',
      { keyword: 'bike tour', title: 'A short list for packing on your first bike tour' },
      0.85,
    ],
    ['an inflected one', { keyword: 'bike tour', title: 'Bike tours for beginners' }, 0.9],
    [
      'a near one in the meta title',
      { keyword: 'bike tour', title: 'x', metaTitle: 'Tour by bike in spring and autumn' },
      0.6,
    ],
  ])('%s', (_, given, expected) => expect(share('meta-title-keyword', given)).toBe(expected));
  it('offers to begin with it', () => {
    const line = judge('meta-title-keyword', { keyword: 'bike tour', title: 'What to pack' });
    expect(line.fixes).toEqual(['Write "Bike tour: what to pack"']);
    expect(line.mended().share).toBe(1);
  });
});
