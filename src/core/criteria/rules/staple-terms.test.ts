import { describe, expect, it } from 'vitest';
import { type Case, judge, share, studyTerm, words } from '../judge.test-data.ts';

const terms = ['waterproof bag', 'hook', 'tyre pressure'].map((form) => studyTerm(form));
const study = { terms };

describe('staple-terms', () => {
  it.each<[string, Case, number | null]>([
    ['no result pages were studied', { md: 'A bag.' }, null],
    [
      'a study without staple terms',
      { md: 'A bag.', study: { terms: [studyTerm('bag', 'supporting')] } },
      null,
    ],
    ['none is there', { md: 'Gulls over the dyke.', study }, 0],
    ['one of three', { md: 'One hook.', study }, 0.333],
    [
      'all of them, in other forms',
      { md: 'Waterproof bags hang on hooks. Check the tire pressure.', study },
      1,
    ],
    ['apart in two clauses is not the term', { md: 'Waterproof, bags. Hooks. Tyre pressure.', study }, 0.667],
    [
      'once where the pages use it four times',
      { md: `Hook. ${words(4000)}`, study: { terms: [studyTerm('hook')] } },
      0.25,
    ],
    [
      'four times the upper end earns nothing',
      { md: 'Hook hook hook hook.', study: { terms: [{ ...terms[1], lower: 0, upper: 0 }] } },
      0,
    ],
    [
      'twice the upper end is still full',
      { md: 'Hook, hook.', study: { terms: [{ ...terms[1], lower: 0, upper: 0 }] } },
      1,
    ],
    ['an empty draft', { md: '', study }, 0],
  ])('%s', (_, given, expected) => expect(share('staple-terms', given)).toBe(expected));

  it('names what is missing, and where a term stands too often', () => {
    expect(judge('staple-terms', { md: 'One hook.', study }).advice).toContain(
      '"waterproof bag", "tyre pressure"',
    );
    const often = judge('staple-terms', {
      md: 'Hook, hook, hook, hook, hook.',
      study: { terms: [{ ...terms[1], lower: 0, upper: 0 }] },
    });
    expect(often.advice).toContain('"hook" stands 5 times');
    expect(often.quotes).toHaveLength(5);
  });
  it('says what it needs', () => expect(judge('staple-terms', { md: 'x' }).target).toContain('study'));
});
