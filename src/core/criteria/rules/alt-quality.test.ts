import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('alt-quality', () => {
  it.each<[string, Case, number | null]>([
    ['no picture', { md: PROSE }, null],
    ['a description', { md: '![A loaded bike on the quay](a.png)' }, 1],
    ['one word', { md: '![Bike](a.png)' }, 0],
    ['a file name', { md: '![IMG_2041.jpg](a.png)' }, 0],
    ['the keyword alone', { keyword: 'bike tour', md: '![Bike tour](a.png)' }, 0],
    ['a repeat', { md: '![A bike](a.png)\n\n![A bike](b.png)' }, 0.5],
    ['too long', { md: `![${'word '.repeat(30)}end](a.png)` }, 0],
  ])('%s', (_, given, expected) => expect(share('alt-quality', given)).toBe(expected));
  it('offers to drop "image of"', () => {
    const line = judge('alt-quality', { md: '![Image of a loaded bike](a.png)' });
    expect(line.fixes).toEqual(['Say "A loaded bike"']);
    expect(line.mended().share).toBe(1);
  });
});
