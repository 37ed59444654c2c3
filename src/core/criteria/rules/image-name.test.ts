import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share } from '../judge.test-data.ts';

describe('image-name', () => {
  it.each<[string, Case, number | null]>([
    ['no picture', { keyword: 'bike tour', md: PROSE }, null],
    ['real words with the keyword', { keyword: 'bike tour', md: '![a](media/bike-tour-kit.webp)' }, 1],
    ['real words without it', { keyword: 'bike tour', md: '![a](media/loaded-quay.webp)' }, 0.5],
    [
      'half of a longer keyword',
      { keyword: 'canal towpath cycling', md: '![a](media/canal-towpath-lock.webp)' },
      1,
    ],
    ['one common word of it', { keyword: 'canal towpath way', md: '![a](media/one-way.webp)' }, 0.5],
    ["a camera's counter", { keyword: 'bike tour', md: '![a](IMG_2041.jpg)' }, 0],
    ['a hash', { md: '![a](3f9a2b7c-tide.jpg)' }, 0],
  ])('%s', (_, given, expected) => expect(share('image-name', given)).toBe(expected));
});
