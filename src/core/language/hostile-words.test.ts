import { describe, expect, it } from 'vitest';
import { researchStem } from '../research/index.ts';
import { directionOf } from './direction.ts';
import { HOSTILE_WORDS } from './hostile-words.test-data.ts';
import { inflectionCandidates, normalForm, stem, wordCount } from './index.ts';
import { knownWords } from './known-words.ts';
import { spelledLike } from './spellings.ts';
import { syllablesOf } from './syllables.ts';

describe.each(HOSTILE_WORDS)('the word "%s", a member of every object', (word) => {
  it('has a number of syllables', () => {
    const found = syllablesOf(word);
    expect(Number.isInteger(found) && found >= 1, String(found)).toBe(true);
  });
  it('points nowhere, and is as frequent as a number says', () => {
    expect(directionOf(word)).toBe('none');
    expect(Number.isFinite(wordCount(word))).toBe(true);
  });
  it('has forms that are words', () => {
    for (const form of [
      normalForm(word),
      stem(word),
      researchStem(word),
      spelledLike(word, 'tyre'),
      ...inflectionCandidates(word),
    ])
      expect(typeof form).toBe('string');
  });
});

describe('every word of the English lists', () => {
  it('has a whole number of syllables, at least one', () => {
    const odd = [...knownWords().all].filter((word) => {
      const found = syllablesOf(word);
      return !Number.isInteger(found) || found < 1;
    });
    expect(odd).toEqual([]);
  });
});
