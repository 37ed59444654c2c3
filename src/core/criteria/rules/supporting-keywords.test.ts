import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share } from '../judge.test-data.ts';

describe('supporting-keywords', () => {
  it.each<[string, Case, number | null]>([
    ['none chosen', { md: PROSE }, null],
    ['both there', { supporting: ['dyke', 'warm layer'], md: PROSE }, 1],
    ['one of two', { supporting: ['dyke', 'ferry'], md: PROSE }, 0.5],
    ['one as a variant', { supporting: ['warm layers'], md: PROSE }, 0.9],
  ])('%s', (_, given, expected) => expect(share('supporting-keywords', given)).toBe(expected));
});
