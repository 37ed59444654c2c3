import { describe, expect, it } from 'vitest';
import { type Case, share } from '../judge.test-data.ts';

describe('meta-description-keyword', () => {
  it.each<[string, Case, number | null]>([
    ['no keyword', { metaDescription: 'A bike tour' }, 0],
    ['early and exact', { keyword: 'bike tour', metaDescription: 'A bike tour needs little.' }, 1],
    [
      'behind the phone cut',
      { keyword: 'bike tour', metaDescription: `${'Little is needed by riders '.repeat(5)} on a bike tour` },
      0.85,
    ],
    ['missing', { keyword: 'bike tour', metaDescription: 'Little is needed.' }, 0],
  ])('%s', (_, given, expected) => expect(share('meta-description-keyword', given)).toBe(expected));
});
