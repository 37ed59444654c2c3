import { describe, expect, it } from 'vitest';
import { type Case, share } from '../judge.test-data.ts';

describe('slug-keyword', () => {
  it.each<[string, Case, number | null]>([
    ['no keyword', { slug: 'bike-tour' }, 0],
    ['all words', { keyword: 'bike tour', slug: 'bike-tour-kit' }, 1],
    ['an inflection', { keyword: 'bike tour', slug: 'bikes-touring' }, 1],
    ['half of them', { keyword: 'bike tour', slug: 'bike-kit' }, 0.5],
    ['transliterated', { keyword: 'Fähre Süden', language: 'de', slug: 'faehre-sueden' }, 1],
    ['nothing', { keyword: 'bike tour' }, 0],
  ])('%s', (_, given, expected) => expect(share('slug-keyword', given)).toBe(expected));
});
