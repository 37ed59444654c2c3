import { describe, expect, it } from 'vitest';
import { Vocabulary, WordBases } from '../language/index.ts';
import { EQUALS, matterOf } from './equals.ts';
import { isExpositoryWord, kinOf, SAYS, saying, stemsSaid, wantOf } from './index.ts';

const bases = new WordBases(new Vocabulary());
const says = (heading: string, wanted: string, query: string): number => {
  const subject = new Set(bases.stemsOf(query).map((stem) => bases.stemText(stem)));
  const stems = new Set(stemsSaid(heading, bases));
  return saying(wantOf(wanted, subject, bases), (stem) => stems.has(stem));
};

/** Headings that say what is asked in other words, and headings that do not, as an editor would judge them. */
const PAIRS: [heading: string, wanted: string, query: string, is: boolean][] = [
  ['Getting one lost file back', 'how do i restore a single file from a backup', 'backup', true],
  ['Retention: when to delete older copies', 'how long should old backups be kept', 'backup', true],
  ['What to exclude', 'what can be left out of a backup', 'backup', true],
  ['Verifying the copies', 'how do i test that a backup works', 'backup', true],
  ['Removing branches you no longer need', 'how do i delete a branch', 'git branch', true],
  ['Reverting a merge', 'how can a merge be undone', 'git branch', true],
  ['Loading rules at boot', 'how can the rules be loaded at every start', 'set up a firewall', true],
  ['Setting it up', 'how to install a markdown parser', 'markdown parser', true],
  ['Prices', 'what do waterproof panniers cost', 'waterproof panniers', true],
  ['Looking after the cloth', 'how do you clean waterproof panniers', 'waterproof panniers', true],
  ['What a branch is', 'how do i rename a branch', 'git branch', false],
  ['How to make a new branch', 'how do i switch to another branch', 'git branch', false],
  ['How long a copy takes', 'how long should old backups be kept', 'backup', false],
  ['Backups in general', 'how do i back up a database while it is running', 'backup', false],
  ['The crate of purple window noodles', 'what does a lookahead do', 'regular expressions', false],
  ['How to use the best things first', 'how to use a rain cover', 'waterproof panniers', false],
  ['constructor toString __proto__ hasOwnProperty', 'how do i delete a branch', 'git branch', false],
];

describe('whether a heading says what is asked', () => {
  it.each(PAIRS)('"%s" for "%s" (%s): %s', (heading, wanted, query, is) => {
    expect(says(heading, wanted, query) >= SAYS).toBe(is);
  });
  it('is 1 for the same words and 0 for none of them', () => {
    expect(says('Mend a torn seam', 'mend a torn seam', 'panniers')).toBeCloseTo(1, 9);
    expect(says('', 'mend a torn seam', 'panniers')).toBe(0);
  });
  it('of ordinary words alone is nothing, where something else is asked for', () =>
    expect(says('A new way to use it', 'a new way to use reflectors', 'panniers')).toBe(0));
  it('stays a number for words that objects have', () => {
    for (const word of ['constructor', 'toString', '__proto__', 'valueOf', ''])
      expect(says(word, word, word)).toBeGreaterThanOrEqual(0);
  });
});

describe('what a question asks for', () => {
  const want = (text: string, query: string) =>
    wantOf(text, new Set(bases.stemsOf(query).map((stem) => bases.stemText(stem))), bases);
  it('leaves out the words of the query and those that only ask', () => {
    expect(
      want('how long do waterproof panniers last in snow', 'waterproof panniers').parts.map(
        ({ stem }) => stem,
      ),
    ).toContain('snow');
    expect(want('best waterproof panniers', 'waterproof panniers').bare).toBe(true);
    expect(want('regular expressions explained', 'regular expressions').bare).toBe(true);
    expect(want('is it safe to parse comments', 'parser').parts.map(({ stem }) => stem)).not.toContain(
      'pars',
    );
  });
  it('weighs to 1, rare words most', () => {
    const { parts } = want('how to use a rucksack on a train', 'panniers');
    expect(parts.reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
    const weight = (stem: string) => parts.find((part) => part.stem === stem)?.weight ?? 0;
    expect(weight('rucksack')).toBeGreaterThan(weight('train'));
    expect(weight('train')).toBeGreaterThan(weight('use'));
  });
  it('reads two words that say one thing as one', () => {
    expect(stemsSaid('what can be left out', bases)).toContain('exclud');
    expect(stemsSaid('Setting it up', bases)).not.toContain('setup');
    expect(stemsSaid('setting up', bases)).toContain('setup');
  });
});

describe('words of one matter', () => {
  it('are kin of each other, nearer than none and further than the same', () => {
    expect(kinOf('price').get('cost')).toBeGreaterThan(0.5);
    expect(kinOf('price').get('cost')).toBeLessThan(1);
    expect(kinOf('delet').has('remov')).toBe(true);
    expect(kinOf('mend').has('repair')).toBe(true);
    expect(kinOf('constructor').size + kinOf('__proto__').size).toBeLessThan(20);
  });
  it('are told by one of them, each in one line only', () => {
    expect(matterOf('price')).toBe(matterOf('budget'));
    expect(matterOf('pannier')).toBe('pannier');
    for (const line of EQUALS) expect(new Set(line).size).toBe(line.length);
  });
  it('words with which anything is explained are known in any form', () => {
    expect(['example', 'examples', 'using', 'described'].every(isExpositoryWord)).toBe(true);
    expect(['pannier', 'quantifier', 'branch', 'constructor'].some(isExpositoryWord)).toBe(false);
  });
});
