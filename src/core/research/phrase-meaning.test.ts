import { describe, expect, it } from 'vitest';
import { editDistance } from './did-you-mean.ts';
import { didYouMean, fieldOf, meaningKey, OwnPhrases } from './index.ts';
import { tellingLine, workingTitle } from './working-title.ts';

describe('what a phrase asks for', () => {
  const field = new Set(['bike']);
  const same = (a: string, b: string) => meaningKey(a, field) === meaningKey(b, field);
  it('is the same in other words, in another order, and with the field named or not', () => {
    expect(same('flat tire repair', 'fix a flat bike tyre')).toBe(true);
    expect(same('rent a touring bike', 'touring bike hire')).toBe(true);
    expect(same('what to pack for a bike tour', 'bike tour packing list')).toBe(true);
    expect(same('best waterproof panniers', 'waterproof panniers')).toBe(true);
  });
  it('is another where a word says so', () => {
    expect(same('first bike tour', 'bike tour')).toBe(false);
    expect(same('bike checklist', 'bikes')).toBe(false);
    expect(same('20 litre panniers', 'pannier litres')).toBe(false);
    expect(same('clean a bike chain', 'replace a bike chain')).toBe(false);
    expect(same('used panniers', 'new panniers')).toBe(false);
  });
  it('stands whatever is typed', () => {
    for (const text of ['', '???', 'constructor', '__proto__', 'how to', '自転車', 'a'.repeat(500)])
      expect(meaningKey(text, field)).toBe(meaningKey(text.toUpperCase(), field));
    expect(meaningKey('bike', field)).toBe('bike');
  });
  it('is about a field that many of the phrases name; a few tell none', () => {
    const phrases = Array.from({ length: 20 }, (_, at) => `bike thing${at}`);
    expect([...fieldOf(phrases)]).toEqual(['bike']);
    expect(fieldOf(phrases.slice(0, 5)).size).toBe(0);
  });
});

describe('the phrases that posts hold', () => {
  const own = new OwnPhrases([
    {
      id: 'a',
      title: 'Touring saddles that do not hurt',
      keyword: 'touring saddle',
      supporting: ['saddle sores'],
      headings: [
        { text: 'What it costs', words: 90 },
        { text: 'How to break in a leather saddle', words: 90 },
        { text: 'Washing wool shorts', words: 10 },
      ],
    },
    { id: 'b', title: 'Saddle sores', keyword: 'touring saddle', supporting: [], headings: [] },
  ]);
  it('are told with how: the keyword before what supports it before what a section answers', () => {
    expect(own.of('saddles for touring')).toMatchObject({ how: 'target', id: 'a' });
    expect(own.of('saddle sores')).toMatchObject({ how: 'supporting', id: 'a' });
    expect(own.of('breaking in leather saddles')).toMatchObject({ how: 'answers', id: 'a' });
  });
  it('are none where a heading says too little or too short', () => {
    expect(own.of('cost')).toBeNull();
    expect(own.of('washing wool shorts')).toBeNull();
    expect(own.of('')).toBeNull();
  });
});

describe('a misspelt seed', () => {
  const phrases = ['waterproof panniers', 'cheap panniers', 'pannier rack', 'bike tour 2026'];
  it('is told as it was meant: letters left out, doubled, changed or swapped', () => {
    expect(didYouMean('bkie tour', phrases)).toBe('bike tour');
    for (const seed of ['waterprof paniers', 'waterpoorf panniers', 'Waterproof  Pannierz'])
      expect(didYouMean(seed, phrases)).toBe('waterproof panniers');
  });
  it('is left alone where its words are known in whatever form, or nothing is near', () => {
    for (const seed of [
      'waterproof pannier',
      'bake tour',
      'sourdough starter',
      '',
      '???',
      'rck',
      'tour 2027',
      'constructor',
    ])
      expect(didYouMean(seed, phrases)).toBeNull();
  });
  it('is measured by letters, a swap counting one', () => {
    expect(editDistance('panier', 'pannier', 2)).toBe(1);
    expect(editDistance('pnanier', 'pannier', 2)).toBe(1);
    expect(editDistance('bell', 'saddle', 2)).toBe(3);
  });
});

describe('a working title', () => {
  const of = (head: string, ...others: string[]) => workingTitle(head, others).title;
  it('asks what is asked, and orders what is done', () => {
    expect(of('how to descale a kettle')).toBe('How to descale a kettle');
    expect(of('do i need front panniers')).toBe('Do I need front panniers?');
    expect(of('plan a bike tour')).toBe('How to plan a bike tour');
    expect(of('roll top panniers')).not.toMatch(/^How to/);
    expect(of('when to prune roses')).toBe('When to prune roses');
  });
  it('tells beside a subject what its other phrases ask about it', () => {
    expect(of('waterproof panniers', 'waterproof panniers cost', 'mend waterproof panniers')).toBe(
      'Waterproof panniers: what they cost and how to mend them',
    );
    expect(of('standing desk', 'standing desk weight')).toBe('Standing desk: what it weighs');
    expect(of('best running shoes')).toBe('Running shoes: how to choose');
  });
  it('says what kind of text it would be where nothing else is known', () => {
    expect(of('invoice checklist')).toBe('Invoice checklist, item by item');
    expect(of('panniers vs trailer')).toBe('Panniers vs trailer: how to decide');
    expect(of('squeaky brakes')).toBe('Squeaky brakes: causes and what to do');
    expect(of('tandem riding')).toBe('Tandem riding: a short guide');
  });
  it('is followed by a line of what the post would tell', () => {
    expect(tellingLine(['what it costs', 'how to clean it'], [])).toBe(
      'Would tell what it costs and how to clean it.',
    );
    expect(tellingLine([], ['one', 'two', 'three'])).toBe('Would answer "one" and "two".');
  });
});
