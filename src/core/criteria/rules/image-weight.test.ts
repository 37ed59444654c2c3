import { describe, expect, it } from 'vitest';
import { type Case, share } from '../judge.test-data.ts';

describe('image-weight', () => {
  it.each<[string, Case, number | null]>([
    ['sizes not known', { md: '![a](a.png)' }, null],
    ['light', { md: '![a](a.png)', pictures: { 'a.png': { bytes: 90_000, width: 1200 } } }, 1],
    ['600 kB', { md: '![a](a.png)', pictures: { 'a.png': { bytes: 600_000 } } }, 0.5],
    ['very wide', { md: '![a](a.png)', pictures: { 'a.png': { bytes: 90_000, width: 3000 } } }, 0.5],
    [
      'the mean over those known',
      {
        md: '![a](a.png)\n\n![b](b.png)\n\n![c](c.png)',
        pictures: { 'a.png': {}, 'b.png': { bytes: 2_000_000 } },
      },
      0.5,
    ],
  ])('%s', (_, given, expected) => expect(share('image-weight', given)).toBe(expected));
});
