import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('supporting-terms', () => {
  it.each<[string, Case, number | null]>([
    ['no result pages were studied', { keyword: 'bike tour', md: PROSE }, null],
  ])('%s', (_, given, expected) => expect(share('supporting-terms', given)).toBe(expected));
  it('says what it needs', () => expect(judge('supporting-terms', { md: PROSE }).target).toContain('study'));
});
