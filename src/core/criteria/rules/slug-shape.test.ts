import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('slug-shape', () => {
  it.each<[string, Case, number | null]>([
    ['too little text', { slug: 'a' }, null],
    ['no slug', { md: PROSE }, 0],
    ['short and clean', { md: PROSE, slug: 'estuary-tides' }, 1],
    ['small words', { md: PROSE, slug: 'the-tides-of-the-estuary' }, 0.66],
    [
      "the keyword's own small words",
      { md: PROSE, keyword: 'how to fix a flat', slug: 'how-to-fix-a-flat' },
      1,
    ],
    ['a date and underscores', { md: PROSE, slug: '2024_tides' }, 0.32],
    ['capitals and an accent', { md: PROSE, slug: 'Süd-tides' }, 0.32],
    ['letters of a script that is not Latin', { md: PROSE, title: '自転車旅行', slug: '自転車旅行' }, 1],
    ['too many words', { md: PROSE, slug: 'one-two-three-big-red-grey-blue-green' }, 0.66],
  ])('%s', (_, given, expected) => expect(share('slug-shape', given)).toBe(expected));
  it('offers one made from the keyword', () => {
    const line = judge('slug-shape', { md: PROSE, keyword: 'bike tour', slug: 'The_bike' });
    expect(line.fixes).toEqual(['Use "bike-tour"']);
    expect(line.mended().share).toBe(1);
  });
});
