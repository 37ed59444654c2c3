import { describe, expect, it } from 'vitest';
import { matchingOf, PhraseMatcher, tokenize, Vocabulary } from '../index.ts';
import { dutchPairs } from './pairs/dutch.test-data.ts';
import { frenchPairs } from './pairs/french.test-data.ts';
import { germanPairs } from './pairs/german.test-data.ts';
import { italianPairs } from './pairs/italian.test-data.ts';
import { portuguesePairs } from './pairs/portuguese.test-data.ts';
import { spanishPairs } from './pairs/spanish.test-data.ts';
import { swedishPairs } from './pairs/swedish.test-data.ts';

const pairsOf = (lines: string): [keyword: string, text: string][] =>
  lines
    .trim()
    .split('\n')
    .map((line) => line.split(' | ') as [string, string]);

/** Measured on these pairs: of those found so many are right, of those to be found so many are. */
describe.each([
  { code: 'de', data: germanPairs, precision: 0.97, recall: 0.98 },
  { code: 'fr', data: frenchPairs, precision: 0.96, recall: 0.98 },
  { code: 'es', data: spanishPairs, precision: 0.94, recall: 0.98 },
  { code: 'it', data: italianPairs, precision: 0.94, recall: 0.98 },
  { code: 'nl', data: dutchPairs, precision: 0.96, recall: 0.98 },
  { code: 'pt', data: portuguesePairs, precision: 0.96, recall: 0.98 },
  { code: 'sv', data: swedishPairs, precision: 0.94, recall: 0.96 },
])(
  'phrases in $code that an editor would call used, and phrases that he would not',
  ({ code, data, precision, recall }) => {
    const found = ([keyword, text]: [string, string]): boolean => {
      const vocabulary = new Vocabulary();
      return (
        new PhraseMatcher([keyword], vocabulary, matchingOf(code)).match(text, tokenize(text, vocabulary))
          .length > 0
      );
    };
    it(`are told apart: precision at least ${precision}, recall at least ${recall}`, () => {
      const [used, strangers] = [pairsOf(data.used), pairsOf(data.strangers)];
      expect(used.length + strangers.length).toBeGreaterThanOrEqual(100);
      const missed = used.filter((pair) => !found(pair));
      const wrong = strangers.filter(found);
      const hits = used.length - missed.length;
      expect(hits / used.length, JSON.stringify(missed)).toBeGreaterThanOrEqual(recall);
      expect(hits / (hits + wrong.length), JSON.stringify(wrong)).toBeGreaterThanOrEqual(precision);
    });
  },
);
