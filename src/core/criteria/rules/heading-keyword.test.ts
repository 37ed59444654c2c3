import { describe, expect, it } from 'vitest';
import { type Case, share } from '../judge.test-data.ts';

describe('heading-keyword', () => {
  it.each<[string, Case, number | null]>([
    ['no keyword', { md: '## Bike tour' }, 0],
    ['under three headings one is enough', { keyword: 'bike tour', md: '## Bike tour\n\n## Other' }, 1],
    ['a supporting keyword counts', { keyword: 'bike tour', supporting: ['panniers'], md: '## Panniers' }, 1],
    ['one of four', { keyword: 'bike tour', md: '## Bike tour\n\n## B\n\n## C\n\n### D' }, 1],
    ['none of four', { keyword: 'bike tour', md: '## A\n\n## B\n\n## C\n\n### D' }, 0],
    [
      'all of four',
      { keyword: 'bike tour', md: '## Bike tour a\n\n## Bike tour b\n\n## Bike tour c\n\n### Bike tour d' },
      0.444,
    ],
    ['level 4 is not asked', { keyword: 'bike tour', md: '#### Bike tour' }, 0],
  ])('%s', (_, given, expected) => expect(share('heading-keyword', given)).toBe(expected));
});
