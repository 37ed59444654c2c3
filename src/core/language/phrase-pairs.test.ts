import { describe, expect, it } from 'vitest';
import { PhraseMatcher } from './matcher.ts';
import { matchingOf } from './matching.ts';
import { USED } from './phrase-pairs.test-data.ts';
import { TYPED, TYPED_STRANGERS } from './phrase-queries.test-data.ts';
import { NOT_USED } from './phrase-strangers.test-data.ts';
import { tokenize } from './tokens.ts';
import { Vocabulary } from './vocabulary.ts';

const found = ([keyword, text]: [string, string]) => {
  const vocabulary = new Vocabulary();
  return (
    new PhraseMatcher([keyword], vocabulary, matchingOf('en')).match(text, tokenize(text, vocabulary))
      .length > 0
  );
};

describe('phrases that an editor would call used, and phrases that he would not', () => {
  it('are told apart: precision at least 0.97, recall at least 0.95', () => {
    expect(USED.length + NOT_USED.length).toBeGreaterThan(400);
    const hits = USED.filter(found).length;
    const wrong = NOT_USED.filter(found);
    expect(hits / USED.length).toBeGreaterThanOrEqual(0.95);
    expect(hits / (hits + wrong.length), JSON.stringify(wrong)).toBeGreaterThanOrEqual(0.97);
  });
});

describe('queries as they are typed, without articles', () => {
  it('are found in what a careful writer makes of them, and nowhere else', () => {
    expect(TYPED.filter((pair) => !found(pair))).toEqual([]);
    expect(TYPED_STRANGERS.filter(found)).toEqual([]);
  });
});

describe('what an editor sees at once', () => {
  it.each([
    ['dog training collar', 'training a dog without a collar'],
    ['invoice template free', 'the invoice template is not free'],
    ['new york hotel', 'York has a new hotel'],
    ['second hand bike', 'hand with the second bike'],
    ['word to pdf', 'a word about PDF'],
    ['diet plan', 'Plan to diet'],
    ['user group', 'chown user:group file'],
    ['directory permissions', 'directories to inherit permissions from above'],
    ['merge branches', 'proper merging, published branches should stay'],
  ])('"%s" is not in "%s"', (keyword, text) => expect(found([keyword, text])).toBe(false));
  it.each([
    ['colour blind friendly', 'a color-blind-friendly palette'],
    ['running shoes for flat feet', 'shoes for running with flat feet'],
    ['buy to let mortgage rates', 'rates on buy to let mortgages'],
    ['winter tyres', 'winter tires'],
    ['things to do lisbon', 'things to do in Lisbon'],
    ['noise test', 'noises tested: noise tests'],
    ['crisis plan', 'crises and plans, or crises plans'],
    ['data analysis', 'data analyses'],
  ])('"%s" is in "%s"', (keyword, text) => expect(found([keyword, text])).toBe(true));
  it('a keyword of one word thirteen times costs no more than others', () => {
    const vocabulary = new Vocabulary();
    const keyword = Array.from({ length: 13 }, () => 'tide').join(' ');
    const text = 'tide '.repeat(2000);
    expect(
      new PhraseMatcher([keyword], vocabulary, matchingOf('en')).match(text, tokenize(text, vocabulary)),
    ).not.toEqual([]);
  });
});
