import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spelledLike, TermCounter, tokenize, Vocabulary, WordBases } from './index.ts';

const vocabulary = new Vocabulary();
const bases = new WordBases(vocabulary);
const uses = (key: string, text: string) =>
  new TermCounter([key], bases).uses(tokenize(text, vocabulary)).length;

describe('base forms', () => {
  it.each([
    ['Waterproof panniers', 'waterproof pannier'],
    ['the tires of a bike', 'tyre of a bike'],
    ['how to pack', 'pack'],
    ['40 liters', 'litre'],
    ['of the', ''],
    ['roll-top bags', 'roll top bag'],
  ])('of "%s" are "%s"', (phrase, key) => expect(bases.keyOf(phrase)).toBe(key));
  it('of a key are the key itself, whatever was typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const key = bases.keyOf(text);
        return bases.keyOf(key) === key || key === '';
      }),
    );
  });
});

describe('uses of a term', () => {
  it('are counted in every form, within a clause', () => {
    expect(
      uses('waterproof pannier', 'A waterproof pannier. Waterproof panniers! Waterproof, panniers.'),
    ).toBe(2);
    expect(uses('roll top', 'A roll-top is a roll top.')).toBe(2);
    expect(uses('tyre', 'Tires and tyres.')).toBe(2);
    expect(uses('organ', 'They organise organs.')).toBe(1);
  });
});

describe('a form spelled like a model', () => {
  it.each([
    ['flat bike tires', 'fix a flat bike tyre', 'flat bike tyres'],
    ['flat bike tire', 'fix a flat bike tire', 'flat bike tire'],
    ['two liters', 'how many litres', 'two litres'],
  ])('"%s" after "%s" is "%s"', (form, model, expected) => expect(spelledLike(form, model)).toBe(expected));
});
