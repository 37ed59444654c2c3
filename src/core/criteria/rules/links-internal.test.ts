import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share, words } from '../judge.test-data.ts';

describe('links-internal', () => {
  it.each<[string, Case, number | null]>([
    ['none', { md: PROSE }, 0],
    ['two in 1,000 words', { md: `${words(998)} [a](/a) [b](/b)` }, 1],
    ['one in 1,000 words', { md: `${words(999)} [a](/a)` }, 0.5],
    ['home and the post itself are not counted', { slug: 'own', md: `${words(300)} [a](/) [b](/own)` }, 0],
    ['too many', { md: `${words(245)} ${'[a](/a) '.repeat(5)}` }, 0.333],
  ])('%s', (_, given, expected) => expect(share('links-internal', given)).toBe(expected));
});
