import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('staple-terms', () => {
  it.each<[string, Case, number | null]>([
    ['no result pages were studied', { keyword: 'bike tour', md: PROSE }, null],
  ])('%s', (_, given, expected) => expect(share('staple-terms', given)).toBe(expected));
  it('says what it needs', () => expect(judge('staple-terms', { md: PROSE }).target).toContain('study'));
});
