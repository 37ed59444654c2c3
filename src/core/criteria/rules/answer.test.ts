import { describe, expect, it } from 'vitest';
import { type Case, judge, PROSE, share, words } from '../judge.test-data.ts';

const LATER = `${words(160)}\n\n`;

describe('answer', () => {
  it.each<[string, Case, number]>([
    [
      'a definition',
      { keyword: 'what is a tide table', md: `A tide table is a list of the hours of the water. ${PROSE}` },
      1,
    ],
    [
      'ways to other pages, which are no steps',
      { keyword: 'how to bake', md: `- Back\n- Next\n\n${PROSE}` },
      0,
    ],
    [
      'that something else is there',
      { keyword: 'tide clock', md: `There is a quay with a tide. ${PROSE}` },
      0,
    ],
    ['none', { keyword: 'what is a tide table', md: PROSE }, 0],
    ['one that only asks', { keyword: 'what is a tide table', md: `So what is a tide table? ${PROSE}` }, 0],
    [
      'steps in sentences',
      { keyword: 'how to fix a flat', md: `Turn the bike over. Take the wheel out. ${PROSE}` },
      1,
    ],
    [
      'steps by other verbs',
      { keyword: 'how to pack a tent', md: `Roll the tent. Shake it first. ${PROSE}` },
      1,
    ],
    ['steps in a list', { keyword: 'how to fix a flat', md: `1. The wheel\n2. The tube\n\n${PROSE}` }, 1],
    [
      'a number',
      { keyword: 'touring tyre pressure', md: `Most tyres are fine at 4 bar of pressure. ${PROSE}` },
      1,
    ],
    ['no number', { keyword: 'touring tyre pressure', md: `The pressure is low. ${PROSE}` }, 0],
    ['a price', { keyword: 'rent a bike', md: `A day costs £20. ${PROSE}` }, 1],
    ['no price', { keyword: 'rent a bike', md: `You can rent a bike here. ${PROSE}` }, 0],
    ['a comparison', { keyword: 'best panniers', md: `Roll tops are better than buckles. ${PROSE}` }, 1],
    ['a statement', { keyword: 'causeway walk', md: `The causeway walk takes two hours. ${PROSE}` }, 1],
    [
      'a statement by any verb',
      { keyword: 'island ferry', md: `The island ferry carries eleven. ${PROSE}` },
      1,
    ],
    ['a statement of what follows', { keyword: 'tide words', md: `Here are thirty tide words. ${PROSE}` }, 1],
    ['a verb that is the name', { keyword: 'low gears', md: `Low gears are a comfort. ${PROSE}` }, 1],
    [
      'only further down',
      { keyword: 'causeway walk', md: `${LATER}The causeway walk takes two hours.` },
      0.5,
    ],
  ])('%s', (_, given, expected) => expect(share('answer', given)).toBe(expected));
  it('quotes what stands late, and leads to it', () => {
    const line = judge('answer', {
      keyword: 'causeway walk',
      md: `${LATER}The causeway walk takes two hours.`,
    });
    expect(line.quotes).toEqual(['The causeway walk takes two hours.']);
    expect(line.advice).toContain('stands late');
  });
  it('does not apply to languages of which nothing is known', () =>
    expect(share('answer', { language: 'fi', keyword: 'tide', md: PROSE })).toBeNull());
});
