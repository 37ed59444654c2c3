import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('alt-present', () => {
  it.each<[string, Case, number | null]>([
    ['no picture', { md: PROSE }, null],
    ['one of two', { md: '![A bike](a.png)\n\n![](b.png)' }, 0.5],
    ['decorative ones are left out', { html: '<img src=a alt="A bike"><img src=b alt="">' }, 1],
    ['all decorative', { html: '<img src=b alt="">' }, 0],
  ])('%s', (_, given, expected) => expect(share('alt-present', given)).toBe(expected));
  it('says so when all are decorative', () =>
    expect(judge('alt-present', { html: '<img src=b alt="">' }).advice).toContain('decorative'));
});
