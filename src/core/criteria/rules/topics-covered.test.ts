import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('topics-covered', () => {
  it.each<[string, Case, number | null]>([
    ['no result pages were studied', { keyword: 'bike tour', md: PROSE }, null],
  ])('%s', (_, given, expected) => expect(share('topics-covered', given)).toBe(expected));
  it('says what it needs', () => expect(judge('topics-covered', { md: PROSE }).target).toContain('study'));
});
