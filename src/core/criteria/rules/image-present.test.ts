import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share, words } from '../judge.test-data.ts';

describe('image-present', () => {
  it.each<[string, Case, number | null]>([
    ['none', { md: PROSE }, 0],
    ['one in a short post', { md: `${PROSE}\n\n![a b](a.png)` }, 1],
    ['the featured picture counts', { md: PROSE, image: 'a.png' }, 1],
    ['one in 1,400 words', { md: `${words(1400)}\n\n![a b](a.png)` }, 0.5],
  ])('%s', (_, given, expected) => expect(share('image-present', given)).toBe(expected));
});
