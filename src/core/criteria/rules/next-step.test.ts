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
  it('stands in a block for it wherever that is', () =>
    expect(
      share('next-step', {
        nextStep: 'Book a bike',
        html: `<p class="next-step button"><a href="/rent">Book a bike</a></p>${`<p>${PROSE}</p>`.repeat(6)}`,
      }),
    ).toBe(1));
  it('is half done where it leads nowhere', () => {
    const judged = judge('next-step', {
      nextStep: 'Book a bike',
      html: `<p>${PROSE}</p><p class="next-step button">Book a bike</p>`,
    });
    expect(judged.advice).toContain('leads nowhere');
    expect(judged.points).toBeCloseTo(judged.available / 2);
    expect(judged.evidence[0].quote).toBe('Book a bike');
  });
});
