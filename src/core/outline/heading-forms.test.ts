import { describe, expect, it } from 'vitest';
import { asAsked, asOrder, doingOf, formalHeading, headingKind, whatIs } from './heading-forms.ts';
import { clashingTones } from './index.ts';

describe('the grammar of a heading', () => {
  it.each([
    ['How to mend a hole', 'how-to'],
    ['Which size?', 'question'],
    ['What wears out first', 'question'],
    ['Pack your bags', 'order'],
    ['Set up a firewall', 'order'],
    ['Restoring a backup', 'doing'],
    ['Backing up with rsync', 'doing'],
    ['Splitting strings', 'doing'],
    ['If you buy anyway', 'clause'],
    ['What we paid', 'question'],
    ['Hooks and rail', 'noun'],
    ['Character classes', 'noun'],
    ['Search and replace', 'noun'],
    ['Packing list', 'noun'],
    ['Merge strategies', 'noun'],
    ['constructor', 'noun'],
    ['', 'noun'],
  ])('"%s" is a %s', (heading, kind) => expect(headingKind(heading)).toBe(kind));
  it.each([
    ['How to mend a hole', 'Mend a hole'],
    ['Restoring a backup', 'Restore a backup'],
    ['Pack your bags', 'Pack your bags'],
    ['How do I open a port?', 'Open a port'],
    ['Hooks and rail', null],
    ['Size', null],
  ])('"%s" as what is to be done: %s', (heading, order) => expect(asOrder(heading)).toBe(order));
  it.each([
    ['Restoring a backup', 'How do you restore a backup?'],
    ['How to mend a hole', 'How do you mend a hole?'],
    ['Which size?', 'Which size?'],
    ['What they cost', 'What they cost'],
    ['Hooks and rail', null],
  ])('"%s" as a question: %s', (heading, question) => expect(asAsked(heading)).toBe(question));
  it.each([
    ['regular expressions', 'What are regular expressions?'],
    ['git branch', 'What is a git branch?'],
    ['index fund', 'What is an index fund?'],
    ['travel insurance', 'What is travel insurance?'],
    ['plan a bike tour', null],
  ])('what "%s" is: %s', (query, question) => expect(whatIs(query)).toBe(question));
  it.each([
    ['how to fix a flat tyre', 'fix a flat tyre'],
    ['set up a firewall', 'set up a firewall'],
    ['plan a bike tour', 'plan a bike tour'],
    ['waterproof panniers', null],
    ['bike tour packing list', null],
  ])('the doing of "%s" is %s', (query, doing) => expect(doingOf(query)).toBe(doing));
  it('in formal words contracts nothing and addresses nobody', () => {
    expect(formalHeading("What you can't mend")).toBe('What you cannot mend');
    expect(formalHeading('How do you mend a hole?')).toBe('How to mend a hole');
    expect(formalHeading('Pack your bags')).toBe('Pack the bags');
  });
});

describe('tones', () => {
  it.each([
    ['formal and playful', ['formal', 'playful']],
    ['Neutral, but persuasive', ['neutral', 'persuasive']],
    ['informal and casual', null],
    ['not too formal, playful', null],
    ['Plain and friendly', null],
    ['', null],
  ])('"%s" clash in %j', (tone, clash) => expect(clashingTones(tone)).toEqual(clash));
});
