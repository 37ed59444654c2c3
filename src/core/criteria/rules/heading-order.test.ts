import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('heading-order', () => {
  it.each<[string, Case, number | null]>([
    ['too little text', { md: '## A' }, null],
    ['no headings', { md: PROSE }, 0],
    ['in order', { md: `## A\n\n### B\n\n## C\n\n${PROSE}` }, 1],
    ['one of two skips', { md: `## A\n\n#### B\n\n${PROSE}` }, 0.5],
    ['the first skips', { md: `### A\n\n${PROSE}` }, 0],
  ])('%s', (_, given, expected) => expect(share('heading-order', given)).toBe(expected));
  it('offers to put them in order', () => {
    const line = judge('heading-order', { md: `## A\n\n#### B\n\n##### C\n\n${PROSE}` });
    expect(line.quotes).toEqual(['B']);
    expect(line.mended().share).toBe(1);
  });
});
