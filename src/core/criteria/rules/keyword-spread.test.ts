import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share, words } from '../judge.test-data.ts';

describe('keyword-spread', () => {
  it.each<[string, Case, number | null]>([
    ['no keyword', { md: PROSE }, 0],
    [
      'a match in each quarter',
      {
        keyword: 'bike tour',
        md: Array(4)
          .fill(`A bike tour. ${words(21)}`)
          .join('\n\n'),
      },
      1,
    ],
    ['only at both ends', { keyword: 'bike tour', md: `A bike tour. ${words(94)} bike tour.` }, 0.5],
    [
      'a supporting keyword in the middle',
      {
        keyword: 'bike tour',
        supporting: ['packing list'],
        md: `A bike tour. ${words(22)}\n\n${words(20)} Packing lists.\n\n${words(24)}\n\n${words(22)} bike tour.`,
      },
      0.75,
    ],
    ['an empty body', { keyword: 'bike tour' }, 0],
  ])('%s', (_, given, expected) => expect(share('keyword-spread', given)).toBe(expected));
});
