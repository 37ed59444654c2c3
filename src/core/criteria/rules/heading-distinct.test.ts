import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('heading-distinct', () => {
  it.each<[string, Case, number | null]>([
    ['all fine', { md: `## A\n\n## B\n\n${PROSE}` }, 1],
    ['no headings', { md: PROSE }, 0],
    ['a repeat', { md: `## A\n\n## a\n\n${PROSE}` }, 0.5],
    [
      'an empty and an overlong one',
      { md: `##\n\n## ${'Long '.repeat(15)}\n\n## A\n\n## B\n\n${PROSE}` },
      0.5,
    ],
  ])('%s', (_, given, expected) => expect(share('heading-distinct', given)).toBe(expected));
  it('offers to remove what is empty', () =>
    expect(judge('heading-distinct', { md: `##\n\n## A\n\n${PROSE}` }).mended().share).toBe(1));
});
