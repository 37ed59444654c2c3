import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share } from '../judge.test-data.ts';

describe('timely', () => {
  it.each<[string, Case, number]>([
    ['nothing that ages', { year: 2026, md: PROSE }, 1],
    ['"recently"', { year: 2026, md: `${PROSE} The quay was mended recently.` }, 0.66],
    ['a year in the title that has passed', { year: 2026, title: 'The best tents of 2024', md: PROSE }, 0.66],
    ['this year in the title', { year: 2026, title: 'The best tents of 2026', md: PROSE }, 1],
    ['a number that is no year', { year: 2026, title: '2000-3 and 1950m of rope', md: PROSE }, 1],
    ['a heading', { year: 2026, md: `## Prices of 2023\n\n${PROSE}` }, 0.66],
    ['a figure of three years ago', { year: 2026, md: `${PROSE} In 2021 we rented out 340 bikes.` }, 0.66],
    ['a figure of last year', { year: 2026, md: `${PROSE} In 2025 we rented out 340 bikes.` }, 1],
    ['a date of the past that is none', { year: 2026, md: `${PROSE} The quay was built in 1908.` }, 1],
    ['no year known', { title: 'The best tents of 2024', md: PROSE }, 1],
  ])('%s', (_, given, expected) => expect(share('timely', given)).toBe(expected));
  it('leads to the words', () =>
    expect(judge('timely', { md: `${PROSE} The quay was mended recently.` }).quotes).toEqual(['recently']));
});
