import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('reading-ease', () => {
  it.each<[string, Case, number | null]>([
    ['too little text', { md: 'Short.' }, null],
    ['another language', { md: PROSE, language: 'de' }, null],
    [
      'hard words',
      {
        md: 'Organizational interdependencies necessitate comprehensive administrative reconsideration. '.repeat(
          9,
        ),
      },
      0,
    ],
  ])('%s', (_, given, expected) => expect(share('reading-ease', given)).toBe(expected));
  it('is full inside the band', () => {
    const line = judge('reading-ease', {
      md: 'The estuary is a quiet place to learn how to carry luggage on a bicycle before longer journeys. '.repeat(
        4,
      ),
    });
    expect(line.measured).toBeGreaterThan(49);
    expect(line.measured).toBeLessThan(76);
    expect(line.share).toBe(1);
  });
});
