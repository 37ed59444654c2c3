import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('reading-ease', () => {
  it.each<[string, Case, number | null]>([
    ['too little text', { md: 'Short.' }, null],
    ['a language without a formula', { md: PROSE, language: 'fi' }, null],
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
  it('is judged by the formula of the language, on its own scale', () => {
    const md =
      'Die Verwaltungsvorschrift zur Abfallwirtschaftsplanung berücksichtigt Nachhaltigkeitsgesichtspunkte ausschließlich nachrangig. '.repeat(
        9,
      );
    const line = judge('reading-ease', { md, language: 'de' });
    expect(line.share).toBe(0);
    expect(line.advice).toContain('by Amstad (1978), where 50 or more is wished');
    expect(
      judge('reading-ease', { md: 'Wir fahren mit dem Rad ans Meer. '.repeat(20), language: 'de' }).share,
    ).toBe(1);
  });
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
