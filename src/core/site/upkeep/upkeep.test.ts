import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clashes, keeperOf, sharedQueries, type TargetedPost } from './clashes.ts';
import { doubledListings } from './doubled.ts';
import { type HeldText, sameTexts } from './same-text.ts';

const text = (id: string, ...blocks: string[]): HeldText => ({
  id,
  blocks: blocks.map((words, at) => ({ id: `${id}-${at}`, text: words })),
});
const FERRY =
  'The ferry leaves when the water lets it, and the timetable at the slip is a wish; we have missed it twice, each time with wet shoes and a good view of its stern going round the point.';
const OTHER =
  'Take the causeway at low water and be across before the stream turns, for nobody comes to fetch you after dark in October.';

describe('texts that say the same', () => {
  it('are found by the passage that stands in both, whatever its capitals, stops and blocks', () => {
    const found = sameTexts([
      text('a', 'Opening words of one.', FERRY, 'Then we rode on.'),
      text('b', OTHER, `${FERRY.toUpperCase().replaceAll(',', ' –')} And so on.`),
      text('c', OTHER.split(' ').reverse().join(' ')),
    ]);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ ids: ['a', 'b'], words: 38 });
    expect(found[0].passages).toHaveLength(1);
    expect(found[0].passages[0]).toMatchObject({ words: 38, blocks: ['a-1', 'b-1'] });
    expect(found[0].passages[0].text).toBe(FERRY.slice(0, -1));
  });
  it('tell how much of the shorter one stands in the other', () => {
    const [whole] = sameTexts([text('a', FERRY), text('b', FERRY, OTHER)]);
    expect(whole.share).toBe(1);
    const [part] = sameTexts([
      text('a', FERRY, OTHER),
      text('b', FERRY, OTHER.split(' ').reverse().join(' ')),
    ]);
    expect(part.share).toBeCloseTo(38 / 61, 5);
  });
  it('name a passage that goes on over blocks as it stands', () => {
    const [found] = sameTexts([text('a', FERRY, OTHER), text('b', 'Before.', `${FERRY} ${OTHER}`)]);
    expect(found.passages[0].text).toBe(`${FERRY} / ${OTHER.slice(0, -1)}`);
  });
  it('are no texts with a phrase in common, or a sentence in long ones', () => {
    expect(
      sameTexts([
        text('a', 'See the times and fares of the ferry to Holm here.'),
        text('b', 'See the times and fares of the ferry to Holm there.'),
      ]),
    ).toEqual([]);
  });
  it('are none by what every page ends with', () => {
    const many = Array.from({ length: 14 }, (_, at) => text(`p${at}`, `Page ${at}`, FERRY));
    expect(sameTexts(many)).toEqual([]);
  });
  it('count a passage once that one of them says again and again', () => {
    const [found] = sameTexts([text('a', FERRY, FERRY, FERRY), text('b', FERRY, OTHER)]);
    expect(found).toMatchObject({ words: 38 });
  });
  it('are none by repeating themselves', () => expect(sameTexts([text('a', FERRY, FERRY)])).toEqual([]));
  it('are told of in one order, and never for more words than there are', () => {
    const word = fc.constantFrom('tide', 'ferry', 'constructor', 'bay', 'wind', '__proto__', 'sand', '潮');
    const some = fc.array(fc.array(word, { maxLength: 60 }), { maxLength: 5 });
    fc.assert(
      fc.property(some, (given) => {
        const texts = given.map((words, at) => text(`t${at}`, words.join(' ')));
        const found = sameTexts(texts);
        for (const { ids, share, words } of found) {
          expect(ids[0] < ids[1]).toBe(true);
          expect(share).toBeGreaterThan(0);
          expect(share).toBeLessThanOrEqual(1);
          expect(words).toBeLessThanOrEqual(60);
        }
        expect(sameTexts(texts)).toEqual(found);
      }),
    );
  });
});

describe('listings that several posts have', () => {
  const site = { titlePattern: '{title} | {site}', name: 'The Rye Oven' };
  const post = (id: string, title: string, metaTitle = '', metaDescription = '') => ({
    id,
    title,
    metaTitle,
    metaDescription,
  });
  it('are told of once for each thing that is doubled', () => {
    const found = doubledListings(
      [
        post('a', 'Rye bread', '', 'How to bake it.'),
        post('b', 'RYE  bread', '', 'How to bake  it.'),
        post('c', 'Dark rye', 'Bread'),
        post('d', 'Light rye', 'bread'),
        post('e', ''),
        post('f', ''),
      ],
      site,
    );
    expect(found.map(({ what, ids }) => `${what}: ${ids.join()}`)).toEqual([
      'title: a,b',
      'meta title: c,d',
      'meta description: a,b',
    ]);
  });
  it('hold words that only objects know', () =>
    expect(doubledListings([post('a', 'constructor'), post('b', 'Constructor')], site)).toHaveLength(1));
});

const target = (id: string, keyword: string, more: Partial<TargetedPost> = {}): TargetedPost => ({
  id,
  title: id,
  keyword,
  supporting: [],
  date: '2026-01-01',
  clicks: 0,
  impressions: 0,
  links: 0,
  score: 50,
  ...more,
});
const asking = { field: new Set<string>() };

describe('posts on the same target', () => {
  it('are one by the words of their keywords, in any form and order', () => {
    const found = clashes(
      [
        target('a', 'bike tour packing list'),
        target('b', 'packing lists for bike tours'),
        target('c', 'tide table'),
      ],
      asking,
      new Map(),
    );
    expect(found.map(({ ids, by }) => [...ids, by])).toEqual([['a', 'b', 'stems']]);
  });
  it('are one where the same pages are found for both', () => {
    const sameResults = (a: string, b: string) => [a, b].sort().join() === 'cycle luggage,pannier guide';
    const found = clashes(
      [target('a', 'cycle luggage'), target('b', 'pannier guide')],
      { ...asking, sameResults },
      new Map(),
    );
    expect(found.map(({ by }) => by)).toEqual(['results']);
  });
  it('are one where search shows both for the same queries', () => {
    const shown = new Map([
      [
        'a',
        new Map([
          ['packing list', 60],
          ['what to pack', 40],
        ]),
      ],
      [
        'b',
        new Map([
          ['packing list', 45],
          ['constructor', 5],
        ]),
      ],
      [
        'c',
        new Map([
          ['what to pack', 2],
          ['tide table', 300],
        ]),
      ],
    ]);
    const found = clashes([target('a', ''), target('b', 'x y'), target('c', 'tide table')], asking, shown);
    expect(found.map(({ ids, by, queries }) => ({ ids, by, queries }))).toEqual([
      { ids: ['a', 'b'], by: 'queries', queries: [{ query: 'packing list', impressions: [60, 45] }] },
    ]);
  });
  it('share a query only where each is shown often enough for it', () =>
    expect(sharedQueries(new Map([['a', 100]]), new Map([['a', 10]]))).toEqual([]));
  it('come with the most at stake first', () => {
    const found = clashes(
      [
        target('a', 'rye', { impressions: 10 }),
        target('b', 'rye', { impressions: 20 }),
        target('c', 'tide', { impressions: 90 }),
        target('d', 'tide', { impressions: 80 }),
      ],
      asking,
      new Map(),
    );
    expect(found.map(({ ids }) => ids.join())).toEqual(['c,d', 'a,b']);
  });
});

describe('which of two should keep a target', () => {
  it.each([
    [{ clicks: 96, impressions: 10 }, { clicks: 31, impressions: 900 }, 'more clicks, 96 to 31'],
    [{ impressions: 900 }, { impressions: 10, links: 9 }, 'shown more often, 900 times to 10'],
    [{ links: 4, score: 10 }, { links: 1 }, 'more pages link to it, 4 to 1'],
    [{ score: 71.2 }, { score: 64 }, 'the better score, 71 to 64'],
    [{ date: '2024-05-01', score: null }, { date: '2025-05-01', score: null }, 'the older of the two'],
  ])('%o before %o: %s', (better, other, because) => {
    expect(keeperOf(target('b', 'x', better), target('a', 'x', other))).toEqual({ keeper: 'b', because });
    expect(keeperOf(target('a', 'x', other), target('b', 'x', better))).toEqual({ keeper: 'b', because });
  });
  it('is the same whichever way round they are asked about', () => {
    const [a, b] = [target('a', 'x', { date: '' }), target('b', 'x')];
    expect(keeperOf(a, b)).toEqual(keeperOf(b, a));
  });
});
