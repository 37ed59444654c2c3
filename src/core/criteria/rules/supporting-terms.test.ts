import { describe, expect, it } from 'vitest';
import { type Case, judge, share, studyTerm } from '../judge.test-data.ts';

const study = {
  terms: ['liner', 'rail', 'canvas', 'lid', 'corner'].map((form) => studyTerm(form, 'supporting')),
};

describe('supporting-terms', () => {
  it.each<[string, Case, number | null]>([
    ['no result pages were studied', { md: 'A liner.' }, null],
    ['none is there', { md: 'Gulls over the dyke.', study }, 0],
    ['three of five are enough', { md: 'Liner, rail and canvas.', study }, 1],
    ['all of five are no more', { md: 'Liner, rail, canvas, lid and corner.', study }, 1],
    ['one of five is a third of what is enough', { md: 'A liner.', study }, 0.333],
  ])('%s', (_, given, expected) => expect(share('supporting-terms', given)).toBe(expected));
  it('says what it needs', () => expect(judge('supporting-terms', { md: 'x' }).target).toContain('study'));
});
