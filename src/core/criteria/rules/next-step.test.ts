import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share, words } from '../judge.test-data.ts';

describe('next-step', () => {
  it.each<[string, Case, number | null]>([
    ['no promise', { md: PROSE }, null],
    ['kept at the end', { nextStep: 'Book a bike', md: `${PROSE} You can book your bikes on our page.` }, 1],
    ['kept only at the start', { nextStep: 'Book a bike', md: `Book a bike first.\n\n${words(400)}` }, 0],
    ['not kept', { nextStep: 'Book a bike', md: PROSE }, 0],
  ])('%s', (_, given, expected) => expect(share('next-step', given)).toBe(expected));
  it('says what was promised', () =>
    expect(judge('next-step', { nextStep: 'Book a bike', md: PROSE }).advice).toContain('"Book a bike"'));
});
