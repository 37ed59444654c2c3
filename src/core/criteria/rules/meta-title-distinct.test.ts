import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share } from '../judge.test-data.ts';

describe('meta-title-distinct', () => {
  it.each<[string, Case, number | null]>([
    ['a post judged alone', { title: 'Tides', md: PROSE }, null],
    ['too little text', { title: 'Tides', md: 'Short.', others: [] }, null],
    ['a meta title of its own', { title: 'Tides', md: PROSE, others: [{ title: 'Bread' }] }, 1],
    [
      'one that another post has, whatever the case',
      { title: 'Tides', md: PROSE, others: [{ title: 'tides' }] },
      0,
    ],
    [
      'the same with typographic quotes',
      { title: 'The rider’s “tides”', md: PROSE, others: [{ title: 'The rider\'s "tides"' }] },
      0,
    ],
  ])('%s', (_, given, expected) => expect(share('meta-title-distinct', given)).toBe(expected));
});
