import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('keyword-free', () => {
  it.each<[string, Case, number | null]>([
    ['a post judged alone', { keyword: 'bike tour', md: PROSE }, null],
    ['free', { keyword: 'bike tour', md: PROSE, others: [{ keyword: 'rain cape' }] }, 1],
    ['taken', { keyword: 'bike tour', md: PROSE, others: [{ keyword: 'Bike Tour', title: 'Old' }] }, 0],
    ['taken as a variant', { keyword: 'bike tour', md: PROSE, others: [{ keyword: 'touring bikes' }] }, 0],
    ['no keyword', { md: PROSE, others: [] }, 0],
    [
      'taken in other words',
      { keyword: 'packing list for bike tours', md: PROSE, others: [{ keyword: 'bike tour packing list' }] },
      0,
    ],
    [
      'the other way round is another target',
      { keyword: 'word to pdf', md: PROSE, others: [{ keyword: 'pdf to word' }] },
      1,
    ],
  ])('%s', (_, given, expected) => expect(share('keyword-free', given)).toBe(expected));
  it('names the rival', () =>
    expect(
      judge('keyword-free', {
        keyword: 'bike tour',
        md: PROSE,
        others: [{ keyword: 'bike tours', title: 'Old' }],
      }).advice,
    ).toContain('"Old"'));
});
