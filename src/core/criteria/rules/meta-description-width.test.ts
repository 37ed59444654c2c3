import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('meta-description-width', () => {
  it.each<[string, Case, number | null]>([
    ['none', {}, 0],
    [
      'a full one',
      {
        metaDescription:
          'Pack lighter for your first bike tour: clothes, tools and camping kit for four days, weighed and checked in our workshop.',
      },
      1,
    ],
    ['half of it', { metaDescription: 'A'.repeat(34) }, 0.496],
    ['far too long', { metaDescription: 'word '.repeat(60) }, 0],
  ])('%s', (_, given, expected) => expect(share('meta-description-width', given)).toBe(expected));
  it('offers the opening sentences', () => {
    const line = judge('meta-description-width', { md: PROSE });
    expect(line.fixes).toEqual(['Take the opening sentences', 'Take these sentences of the text']);
    expect(line.mended().share).toBeGreaterThan(0.9);
  });
});
