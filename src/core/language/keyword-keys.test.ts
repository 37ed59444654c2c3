import { describe, expect, it } from 'vitest';
import { keywordKeys } from './keyword-keys.ts';

/** Whether a post with one keyword meets a post with the other as its rival. */
const clash = (asking: string, filed: string, english = true) => {
  const keys = new Set(keywordKeys(filed, english ? 'en' : '').filed);
  return keywordKeys(asking, english ? 'en' : '').asked.some((key) => keys.has(key));
};

describe('the same target', () => {
  it.each([
    ['bike tour', 'Bike Tour'],
    ['bike tour', 'bike tours'],
    ['bike tour', 'touring bikes'],
    ['bike-tour', 'bike tour'],
    ['set up', 'setup'],
    ['bike tour packing list', 'packing list for bike tours'],
    ['panniers', 'pannier'],
    ['how to fix a flat', 'fixing flats'],
    ['word to pdf', 'word into pdf'],
  ])('%s and %s, asked from either side', (a, b) => {
    expect(clash(a, b)).toBe(true);
    expect(clash(b, a)).toBe(true);
  });
  it.each([
    ['bike tour', 'bike tour packing list'],
    ['word to pdf', 'pdf to word'],
    ['university map', 'universe map'],
    ['tent with poles', 'tent without poles'],
    ['news', 'new'],
  ])('not %s and %s', (a, b) => {
    expect(clash(a, b)).toBe(false);
    expect(clash(b, a)).toBe(false);
  });
  it('in other languages only case and spaces are forgiven', () => {
    expect(clash('Radreise Packliste', 'radreise packliste', false)).toBe(true);
    expect(clash('Radreise', 'Radreisen', false)).toBe(false);
  });
  it('a phrase without words has none', () => {
    expect(keywordKeys('  — ', 'en')).toEqual({ filed: [], asked: [] });
    expect(clash('', '')).toBe(false);
  });
});
