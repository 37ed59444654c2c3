import { describe, expect, it } from 'vitest';
import { type Case, judge, share } from '../judge.test-data.ts';

describe('title-single', () => {
  it.each<[string, Case, number | null]>([
    ['none', { md: 'Text' }, 0],
    ['one', { title: 'Tides' }, 1],
    ['front matter and the same h1', { md: '---\ntitle: Tides\n---\n# Tides\n\nText' }, 1],
    ['another h1', { md: '# Tides\n\n# More' }, 0.5],
    ['two further ones', { title: 'Tides', md: '# A\n\n# B' }, 0.333],
  ])('%s', (_, given, expected) => expect(share('title-single', given)).toBe(expected));
  it('offers to lower them', () =>
    expect(judge('title-single', { md: '# Tides\n\n# More' }).mended().share).toBe(1));
});
