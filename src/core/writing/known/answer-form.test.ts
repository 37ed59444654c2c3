import { describe, expect, it } from 'vitest';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { answerForm } from './answer-form.ts';

/** The sentences, those that answer best by their form first. */
const ordered = (question: string, ...sentences: string[]) => {
  const { fits } = answerForm(question);
  return [...sentences].sort((a, b) => fits(b) - fits(a));
};

describe('the form of an answer', () => {
  it('to how something is done is what to do, not what is so in some case', () => {
    const does = 'Mend the tube with a patch from the kit.';
    const about = 'The tube of a tyre is mended in many workshops.';
    const inCase = 'When a tube is mended twice, its valve begins to leak.';
    expect(ordered('how do i mend a tube', inCase, about, does)).toEqual([does, about, inCase]);
    expect(
      answerForm('how to mend a tube').fits('If it leaks, use a patch and wait a minute.'),
    ).toBeGreaterThan(0);
  });
  it('to what something is names it before it says what', () => {
    const { fits } = answerForm('What is a pannier?');
    expect(fits('A pannier is a bag that hangs from a rack.')).toBeGreaterThan(0);
    expect(fits('The bag, in the trade called a pannier, is hung from a rack.')).toBeGreaterThan(0);
    expect(fits('The rack is where a pannier hangs all day.')).toBe(0);
    expect(fits('If a pannier is torn, sew it up.')).toBe(0);
  });
  it('to how much is a number', () => {
    const { isAmount, fits } = answerForm('how much does a pannier hold');
    expect([isAmount, fits('A pair holds 40 litres.') > fits('A pair holds a lot.')]).toEqual([true, true]);
  });
  it('to a difference sets one beside the other', () =>
    expect(
      ordered(
        'what is the difference between roll-top and lidded bags',
        'Roll-top bags and lidded bags are sold in most shops.',
        'Roll-top bags keep out a river, whereas lidded ones open faster.',
      )[0],
    ).toContain('whereas'));
  it('to anything else is any sentence, whatever its words', () => {
    for (const word of HOSTILE_WORDS)
      for (const question of [word, `what is ${word}?`, `how do i ${word}`, `how much ${word}`])
        expect(Number.isFinite(answerForm(question).fits(`The ${word} is ${word} 12.`))).toBe(true);
    expect(answerForm('tide tables').fits('The tide table is on the wall.')).toBe(0);
  });
});
