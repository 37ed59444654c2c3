import { describe, expect, it } from 'vitest';
import { type Case, share, words } from '../judge.test-data.ts';

const BAND = { lower: 200, median: 300, upper: 400, best: 900 };

describe('body-length', () => {
  it.each<[string, Case, number | null]>([
    ['empty', {}, 0],
    ['half of 700', { md: words(315) }, 0.5],
    ['full', { md: words(700) }, 1],
    ["the brief's wish", { md: words(315), targetWords: 350 }, 1],
    ['three times as long, where no length was wished', { md: words(2100) }, 1],
    ['three times as long as wished', { md: words(2100), targetWords: 700 }, 0],
    ['the middle of the studied pages', { md: words(270), study: { words: BAND } }, 1],
    ['the wish wins over the pages', { md: words(270), targetWords: 600, study: { words: BAND } }, 0.5],
  ])('%s', (_, given, expected) => expect(share('body-length', given)).toBe(expected));
});
