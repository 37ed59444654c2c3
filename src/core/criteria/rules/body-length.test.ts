import { describe, expect, it } from 'vitest';
import { type Case, share, words } from '../judge.test-data.ts';

describe('body-length', () => {
  it.each<[string, Case, number | null]>([
    ['empty', {}, 0],
    ['half of 700', { md: words(315) }, 0.5],
    ['full', { md: words(700) }, 1],
    ["the brief's wish", { md: words(315), targetWords: 350 }, 1],
    ['three times as long', { md: words(2100) }, 0],
  ])('%s', (_, given, expected) => expect(share('body-length', given)).toBe(expected));
});
