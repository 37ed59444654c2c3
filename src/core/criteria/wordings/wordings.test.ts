import { describe, expect, it } from 'vitest';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { plainWords } from '../../language/index.ts';
import { isClaim } from '../claims.ts';
import { StockPhrases } from '../stock-phrases.ts';
import { CLAIMS } from './claims.test-data.ts';
import { wordingOf } from './index.ts';

const FOREIGN = Object.keys(CLAIMS);
const ALL = ['en', ...FOREIGN];

describe.each(FOREIGN)('in %s', (code) => {
  const { claims } = wordingOf(code)!;
  it.each(CLAIMS[code].stated)('a figure is stated: %s', (sentence) =>
    expect(isClaim(sentence, sentence, claims)).toBe(true),
  );
  it.each(CLAIMS[code].none)('no figure is stated: %s', (sentence) =>
    expect(isClaim(sentence, sentence, claims)).toBe(false),
  );
});

describe.each(ALL)('stock phrases in %s', (code) => {
  const { stock } = wordingOf(code)!;
  const book = new StockPhrases(stock);
  it('are each found by a word of their own, and none in part of another word', () => {
    for (const phrase of [...stock.openers, ...stock.fillers]) {
      const hints = plainWords(phrase).filter((word) => book.hints.has(word));
      expect(hints.length, phrase).toBeGreaterThan(0);
      const text = `Zug ${phrase} mehr.`;
      expect(book.in(text, hints).length, phrase).toBeGreaterThan(0);
      if (/\p{L}$/u.test(phrase)) expect(book.in(`Zug ${phrase}xx mehr.`, hints), phrase).toEqual([]);
    }
  });
});

describe('words that age', () => {
  it.each([
    ['de', 'Die Preise sind kürzlich gestiegen.', 'kürzlich'],
    ['de', 'Letzte Woche regnete es.', 'Letzte Woche'],
    ['fr', 'Les prix ont récemment augmenté.', 'récemment'],
    ['fr', 'Cette année, le chemin est fermé.', 'Cette année'],
    ['es', 'Hoy en día todos llevan casco.', 'Hoy en día'],
    ['it', 'Il mese scorso pioveva.', 'Il mese scorso'],
    ['nl', 'Vorige week was het pad dicht.', 'Vorige week'],
    ['pt', 'No ano passado choveu muito.', 'No ano passado'],
    ['sv', 'Nyligen stängdes vägen.', 'Nyligen'],
  ])('%s: %s', (code, text, found) => {
    const { words, hints } = wordingOf(code)!.ageing;
    expect([...text.matchAll(words)].map(([said]) => said)).toEqual([found]);
    expect(plainWords(text).some((word) => hints.has(word))).toBe(true);
  });
  it('are no part of longer words', () =>
    expect([...'Das Heutzutagegefühl'.matchAll(wordingOf('de')!.ageing.words)]).toEqual([]));
});

describe('words that every object has', () => {
  it.each(ALL)('mean nothing in %s', (code) => {
    const { claims, style, answers } = wordingOf(code)!;
    for (const word of HOSTILE_WORDS) {
      expect(isClaim(`${word} ${word}.`, word, claims)).toBe(false);
      expect(['order', 'noun', null]).toContain(style.beginsAs(word));
      expect(typeof style.isPast(word)).toBe('boolean');
      expect(answers.forms.every(([pattern]) => typeof pattern.test(word) === 'boolean')).toBe(true);
    }
    expect(wordingOf('constructor')).toBeNull();
    expect(wordingOf('__proto__')).toBeNull();
  });
});
