import { describe, expect, it } from 'vitest';
import { type Case, share } from '../judge.test-data.ts';

describe('links-external', () => {
  it.each<[string, Case, number | null]>([
    ['none', { md: '[a](/a)' }, 0],
    ['one', { md: '[a](https://tide.example)' }, 1],
    [
      'the own host is not external',
      { site: { baseAddress: 'https://own.example' }, md: '[a](https://own.example/b)' },
      0,
    ],
  ])('%s', (_, given, expected) => expect(share('links-external', given)).toBe(expected));
});
