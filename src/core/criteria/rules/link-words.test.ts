import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('link-words', () => {
  it.each<[string, Case, number | null]>([
    ['no link', { md: PROSE }, null],
    ['words that say where', { md: `${PROSE} [tide tables](/t)` }, 1],
    ['here', { md: `${PROSE} See [here](/t) and [the tides](/t).` }, 0.5],
    ['a bare address', { md: `${PROSE} [https://tide.example](https://tide.example)` }, 0],
    ['the English list is for English', { language: 'de', md: `${PROSE} [here](/t)` }, 1],
  ])('%s', (_, given, expected) => expect(share('link-words', given)).toBe(expected));
  it('offers the title of a known page', () => {
    const line = judge('link-words', {
      md: `${PROSE} [here](/tides)`,
      others: [{ slug: 'tides', title: 'Reading a tide table' }],
    });
    expect(line.fixes).toEqual(['Name the page that it leads to']);
    expect(line.mended().share).toBe(1);
  });
});
