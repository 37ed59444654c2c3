import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share } from '../judge.test-data.ts';

describe('alt-keyword', () => {
  it.each<[string, Case, number | null]>([
    ['no picture', { keyword: 'bike tour', md: PROSE }, null],
    ['no keyword', { md: '![A bike](a.png)' }, 0],
    [
      'one of three',
      { keyword: 'bike tour', md: '![A bike tour](a.png)\n\n![b c](b.png)\n\n![d e](d.png)' },
      1,
    ],
    [
      'what of it can be seen',
      { keyword: 'rent a touring bike', md: '![A touring bike with two bags](a.png)' },
      1,
    ],
    ['one word of it', { keyword: 'rent a touring bike', md: '![A bike with two bags](a.png)' }, 0],
    ['none', { keyword: 'bike tour', md: '![b c](b.png)' }, 0],
    [
      'all of three',
      { keyword: 'bike tour', md: '![A bike tour](a.png)\n\n![Bike tour b](b.png)\n\n![Bike tour c](d.png)' },
      0,
    ],
  ])('%s', (_, given, expected) => expect(share('alt-keyword', given)).toBe(expected));
});
