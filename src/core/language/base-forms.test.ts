import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { baseForm, keywordKeys, normalForm, tokenize, Vocabulary, WordBases } from './index.ts';
import { inflectionCandidates, keepsHead } from './inflections.ts';
import { knownWords } from './known-words.ts';
import { countedForms } from './word-frequency.ts';

const baseOf = (word: string) => baseForm(normalForm(word));

describe('the base form of a word', () => {
  it.each([
    ['shoes', 'shoe'],
    ['sizes', 'size'],
    ['movies', 'movie'],
    ['creating', 'create'],
    ['cycling', 'cycle'],
    ['raising', 'raise'],
    ['noises', 'noise'],
    ['crises', 'crisis'],
    ['analyses', 'analysis'],
    ['organising', 'organize'],
    ['promises', 'promise'],
    ['advertising', 'advertise'],
    ['cached', 'cache'],
    ['potatoes', 'potato'],
    ['houses', 'house'],
    ['boxes', 'box'],
    ['planned', 'plan'],
    ['apis', 'api'],
    ['children', 'child'],
    ['colors', 'colour'],
    ['alias', 'alias'],
    ['kindred', 'kindred'],
    ['substrings', 'substring'],
    ['rent', 'rent'],
    ['renting', 'rent'],
  ])('of "%s" is "%s"', (word, base) => expect(baseOf(word)).toBe(base));
  it('is its own base, for every word of the English lists', () => {
    const odd = [...knownWords().all].filter((word) => baseOf(baseOf(word)) !== baseOf(word));
    expect(odd).toEqual([]);
  });
  it('makes two keywords one target', () => {
    const filed = (phrase: string) => keywordKeys(phrase, 'en').filed;
    expect(filed('shoe sizes')).toEqual(filed('shoes size'));
    expect(filed('winter tires')).toEqual(filed('winter tyre'));
    expect(filed('raising money')).toEqual(filed('raise money'));
  });
});

describe('a session that has read other texts before', () => {
  const WORDS = 'the tyre tires 2026 tide-table don’t isn not creating crises movies a of O’Neil 40 %'.split(
    ' ',
  );
  it('gives the same keys, bases and edges, whatever those were', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...WORDS), { maxLength: 12 }),
        fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 6 }),
        (before, asked) => {
          const fresh = new WordBases(new Vocabulary());
          const used = new WordBases(new Vocabulary());
          for (const word of before) used.numberOf(word);
          tokenize(before.join(' '), used.vocabulary);
          used.keyOf(before.join(' '));
          const phrase = asked.join(' ');
          expect(used.keyOf(phrase)).toBe(fresh.keyOf(phrase));
          for (const word of asked) {
            const [a, b] = [fresh, used].map((each) => {
              const base = each.base(each.vocabulary.idOf(word));
              return [each.text(base), each.isEdge(base)];
            });
            expect(b).toEqual(a);
          }
        },
      ),
    );
  });
});

describe('what a word may be a form of begins as it does', () => {
  const heads = (word: string) => [...new Set(inflectionCandidates(word).map((other) => other.slice(0, 2)))];
  const isKept = (word: string) => !keepsHead(word) || heads(word).length === 1;

  it('wherever that is said, of all counted words', () => {
    const all = [...countedForms()].map(normalForm);
    expect(all.filter((word) => !isKept(word))).toEqual([]);
    // It is said of nearly all: that is what makes a text quick to search.
    expect(all.filter(keepsHead).length / all.length).toBeGreaterThan(0.9);
  });
  it('wherever that is said, of words that nobody knows', () => {
    const endings = fc.constantFrom('', 's', 'es', 'ies', 'ied', 'ed', 'ing', 'lyses', 'is');
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{1,6}$/), endings, (start, ending) => isKept(start + ending)),
    );
  });
  it.each(['went', 'bought', 'died', 'tied'])('is not said of "%s"', (word) =>
    expect(keepsHead(word)).toBe(false),
  );
});
