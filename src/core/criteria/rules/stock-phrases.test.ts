import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

const MANY = `${PROSE} Needless to say, the sea is cold. When it comes to tides, look no further. It is a game changer.`;

describe('stock-phrases', () => {
  it.each<[string, Case, number]>([
    ['none', { md: PROSE }, 1],
    ['four', { md: MANY }, 0],
    ['two', { md: `${PROSE} Needless to say, it rains. Look no further.` }, 0.517],
    ['part of a longer word', { md: `${PROSE} A frame changer-over came.` }, 1],
  ])('%s', (_, given, expected) => expect(share('stock-phrases', given)).toBe(expected));
  it('names them, and takes out those that only open a sentence', () => {
    const line = judge('stock-phrases', { md: MANY });
    expect(line.quotes).toEqual([
      'Needless to say,',
      'When it comes to',
      'look no further',
      'a game changer',
    ]);
    expect(line.fixes).toEqual(['Leave "Needless to say," out']);
    expect(line.mended().share).toBeGreaterThan(0);
  });
});
