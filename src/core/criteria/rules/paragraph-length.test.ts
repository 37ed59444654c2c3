import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share, words } from '../judge.test-data.ts';

describe('paragraph-length', () => {
  it.each<[string, Case, number | null]>([
    ['all short', { md: `${PROSE}\n\n${PROSE}` }, 1],
    ['one of two long', { md: `${words(130)}\n\n${PROSE}` }, 0.5],
    ['list items are no paragraphs', { md: `- ${words(130)}\n\n${PROSE}` }, 1],
  ])('%s', (_, given, expected) => expect(share('paragraph-length', given)).toBe(expected));
  it('offers to break it at a sentence', () =>
    expect(judge('paragraph-length', { md: words(130) }).mended().share).toBe(1));
});
