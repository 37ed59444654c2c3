import { describe, expect, it } from 'vitest';
import { type Case, PROSE, share, words } from '../judge.test-data.ts';

describe('keyword-rate', () => {
  it.each<[string, Case, number | null]>([
    ['no use', { keyword: 'bike tour', md: PROSE }, 0],
    ['one use', { keyword: 'bike tour', md: `${words(200)} bike tour.` }, 0.333],
    [
      'three uses in 200 words',
      { keyword: 'bike tour', md: `A bike tour. ${words(200)} bike tour. Bike tours.` },
      1,
    ],
    [
      'a phrase that is a sentence needs no second use',
      { keyword: 'how to carry a tent on a bike', md: `How to carry a tent on a bike. ${words(200)}` },
      1,
    ],
    [
      'one of five words two',
      { keyword: 'fix a flat bike tyre', md: `Fix a flat bike tyre. ${words(200)}` },
      0.5,
    ],
    [
      'more uses earn nothing more',
      { keyword: 'bike tour', md: `${'A bike tour. '.repeat(9)}${words(600)}` },
      1,
    ],
    ['a near use counts 0.6', { keyword: 'bike tour', md: `Tour by bike. ${words(200)}` }, 0.2],
    ['stuffed', { keyword: 'bike tour', md: `${'A bike tour. '.repeat(8)}${words(176)}` }, 0.4],
    [
      'as often as the upper quartile of the pages is not stuffed',
      {
        keyword: 'bike tour',
        md: `${'A bike tour. '.repeat(8)}${words(176)}`,
        study: { keywordRateUpper: 4.5 },
      },
      1,
    ],
    [
      'a little more than the pages do costs a little',
      {
        keyword: 'bike tour',
        md: `${'A bike tour. '.repeat(10)}${words(170)}`,
        study: { keywordRateUpper: 4.5 },
      },
      0.8,
    ],
    ['nothing but the keyword', { keyword: 'bike tour', md: 'Bike tour. '.repeat(20) }, 0],
  ])('%s', (_, given, expected) => expect(share('keyword-rate', given)).toBe(expected));
});
