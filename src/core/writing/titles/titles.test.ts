import { describe, expect, it } from 'vitest';
import { emptyFields, type PostFields, readMarkdown } from '../../draft/index.ts';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { mostAlike, titleCandidates, titleLikeness, titleShapes } from './index.ts';

const post = (fields: Partial<PostFields>, md = '') => ({
  fields: { ...emptyFields(), ...fields },
  draft: readMarkdown(md).draft,
});
const candidates = (fields: Partial<PostFields>, md = '') =>
  titleCandidates(post(fields, md)).map(({ text }) => text);

describe('titles made of what a post says', () => {
  it('lead with the keyword, name its headings, count its steps, and ask what it answers', () => {
    const md =
      '## Clothes\n\nx\n\n## Tools and spares\n\nx\n\n## What stays at home\n\n1. Lay out\n2. Weigh\n3. Take away\n\n' +
      '## How long is a bike tour packing list?\n\nShort.';
    expect(
      titleCandidates(
        post({ keyword: 'bike tour packing list', title: 'A bike tour packing list for a first trip' }, md),
      ),
    ).toEqual([
      { text: 'Bike tour packing list for a first trip', from: 'its title, the keyword first' },
      {
        text: 'Bike tour packing list: clothes and what stays at home',
        from: 'its headings',
      },
      { text: 'Bike tour packing list in 3 steps', from: 'its list of 3 steps' },
      { text: 'How long is a bike tour packing list?', from: 'a question it answers' },
    ]);
  });
  it('count questions where a post answers several', () =>
    expect(
      candidates(
        { keyword: 'tide tables' },
        '## What are they?\n\n## Who makes them?\n\n## How do I read tide tables?',
      ),
    ).toEqual(['Tide tables: 3 questions answered', 'How do I read tide tables?']));
  it('are none that the post has, none twice, and none without a keyword', () => {
    const asked = '## How do I read tide tables?';
    expect(candidates({ keyword: 'tide tables', title: 'How do I read tide tables?' }, asked)).toEqual([]);
    expect(candidates({ title: 'Tides' }, asked)).toEqual([]);
    expect(candidates({ keyword: 'tide tables', title: 'Crossing the causeway' })).toEqual([
      'Tide tables: crossing the causeway',
    ]);
  });
  it('leave half a sentence alone', () => {
    for (const title of ['How to fix a flat bike tyre', 'Fix your flat bike tyre', 'Flat bike tyre, mended'])
      expect(candidates({ keyword: 'flat bike tyre', title }).join()).not.toMatch(
        /: (?:how to fix a|fix your)$/,
      );
  });
  it('may be made of any word', () => {
    for (const word of HOSTILE_WORDS) {
      const made = candidates(
        { keyword: word, title: `On ${word} and more of it` },
        `## ${word}\n\n## ${word}?`,
      );
      for (const text of made) expect(text).not.toMatch(/undefined|NaN|object Object/);
    }
  });
});

describe('likeness of titles', () => {
  it.each([
    ['How to read tide tables', 'Reading a tide table', 1],
    ['The best panniers: a guide', 'The best saddles: a guide', 0],
    ['Waterproof panniers', 'Waterproof panniers for touring', 0.81],
    ['', 'Tides', 0],
    ['The of and', 'Tides', 0],
  ])('of %j and %j', (a, b, likeness) => {
    expect(titleLikeness(a, b)).toBeCloseTo(likeness, 1);
    expect(titleLikeness(b, a)).toBe(titleLikeness(a, b));
  });
  it('names the nearest of many', () => {
    expect(
      mostAlike('Tide tables', ['Saddles', 'Reading tide tables', 'Tide tables for riders'])?.title,
    ).toBe('Reading tide tables');
    expect(mostAlike('Tide tables', ['Saddles'])).toBeNull();
  });
});

describe('shapes of titles', () => {
  it('are counted by what each has', () =>
    expect(
      titleShapes([
        '7 panniers: what holds',
        'How to pack a pannier',
        'Are panniers waterproof?',
        'Panniers 2026',
        'Panniers - our test',
      ]),
    ).toEqual({ titles: 5, numbers: 1, questions: 1, howTo: 1, twoParts: 2, years: 1, characters: 21 }));
  it('are none without titles', () => expect(titleShapes([])).toBeNull());
});
