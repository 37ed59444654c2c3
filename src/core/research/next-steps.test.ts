import { describe, expect, it } from 'vitest';
import {
  clickShare,
  clusterPhrases,
  clusterSteps,
  defaultResearchRules,
  freshIdeas,
  type Holder,
  ideasFromClusters,
  ideasFromHeadings,
  ideasFromOffer,
  ideasFromTitles,
  type KnownPost,
  nearWins,
  overlapOf,
  overlapsOf,
  type RatedPhrase,
} from './index.ts';

const rated = (phrase: string, volume: number, opportunity = volume / 10): RatedPhrase => ({
  phrase,
  volume,
  opportunity,
});
const clustered = (phrases: readonly RatedPhrase[]) =>
  clusterPhrases(phrases.map((phrase) => ({ ...phrase, pages: null })));

describe('clusters', () => {
  const phrases = [
    { phrase: 'bike bell', volume: 10, pages: null },
    { phrase: 'waterproof panniers', volume: 100, pages: ['a', 'b', 'c', 'd'] },
    { phrase: 'waterproof pannier', volume: 30, pages: null },
    { phrase: 'panniers waterproof', volume: 20, pages: null },
    { phrase: 'roll top luggage', volume: 5, pages: ['d', 'c', 'b', 'a'] },
    { phrase: 'roll top desk', volume: null, pages: ['d', 'c', 'b'] },
  ];
  it('hold what shares stems or pages, led and named by the phrase most asked for', () => {
    const [first, ...rest] = clusterPhrases(phrases);
    expect(first).toEqual({ head: 1, name: 'waterproof panniers', members: [1, 2, 3, 4], volume: 155 });
    expect(rest.map(({ members }) => members)).toEqual([[0], [5]]);
  });
  it('hold every phrase exactly once, whatever is given', () => {
    const many = Array.from({ length: 500 }, (_, at) => ({
      phrase: `word${at % 90} other${at % 7}`,
      volume: at,
      pages: null,
    }));
    const members = clusterPhrases(many).flatMap((cluster) => cluster.members);
    expect([...members].sort((a, b) => a - b)).toEqual(many.map((_, at) => at));
  });
  it('come together by shared pages, and a page that is found for everything brings nobody together', () => {
    const everywhere = 'https://everywhere.example/';
    const own = (name: string) => Array.from({ length: 9 }, (_, at) => `https://${name}.example/${at}`);
    const many = Array.from({ length: 900 }, (_, at) => ({
      phrase: `zq${at} wv${at}`,
      volume: 1000 - at,
      pages: [everywhere, ...own(`p${at}`)],
    }));
    // The last one shares three pages of its own and the common one with the first: four in all.
    const twin = {
      phrase: 'another wording',
      volume: 1,
      pages: [everywhere, ...own('p0').slice(0, 3), ...own('x')],
    };
    const stranger = {
      phrase: 'nothing alike',
      volume: 1,
      pages: [everywhere, ...own('p1').slice(0, 2), ...own('y')],
    };
    const clusters = clusterPhrases([...many, twin, stranger]);
    expect(clusters.find(({ members }) => members.includes(0))?.members).toEqual([0, 900]);
    expect(clusters.find(({ members }) => members.includes(901))?.members).toEqual([901]);
    expect(clusters).toHaveLength(901);
  });
  it('tell in steps how far they are, and can be left off between two', () => {
    const shares: number[] = [];
    const steps = clusterSteps(phrases);
    let step = steps.next();
    for (; !step.done; step = steps.next()) shares.push(step.value);
    expect(step.value).toEqual(clusterPhrases(phrases));
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect([shares[0], shares.at(-1)]).toEqual([0, 1]);
  });
});

describe('overlap', () => {
  const holder = (id: string, primary: string, ...phrases: string[]): Holder => ({
    id,
    name: id,
    primary,
    phrases: [primary, ...phrases],
  });
  const own = holder(
    'own',
    'waterproof panniers',
    ...Array.from({ length: 9 }, (_, at) => `phrase number${at} alone`),
  );
  it('is natural up to a tenth, mentioned from there, a clash from a half on or where the primary keyword is shared', () => {
    const with_ = (count: number) =>
      overlapOf(
        own,
        holder(
          'other',
          'bell',
          ...own.phrases.slice(1, 1 + count),
          ...Array.from({ length: 19 - count }, (_, at) => `far${at} away`),
        ),
      );
    expect(with_(0).degree).toBe('none');
    expect(with_(1)).toMatchObject({ degree: 'mentioned', share: 0.1 });
    expect(with_(5)).toMatchObject({ degree: 'clash', share: 0.5 });
    const large = holder('large', 'x y', ...Array.from({ length: 19 }, (_, at) => `w${at} v`));
    expect(
      overlapOf(large, holder('l2', 'q r', 'w3 v', ...Array.from({ length: 30 }, (_, at) => `z${at} u`)))
        .degree,
    ).toBe('natural');
    expect(overlapOf(own, holder('rival', 'pannier, waterproof'))).toMatchObject({
      degree: 'clash',
      samePrimary: true,
    });
  });
  it('is the same from either side, though several phrases of one answer one of the other', () => {
    const many = holder(
      'many',
      'waterproof panniers',
      'are panniers waterproof',
      'panniers, waterproof',
      'bell',
      'horn',
    );
    const one = holder('one', 'packing list', 'waterproof panniers', 'rain jacket', 'repair kit');
    expect(overlapOf(many, one).share).toBe(0.25);
    expect(overlapOf(one, many).share).toBe(0.25);
  });
  it('tells which phrases are shared, and how', () => {
    const other = holder('other', 'bell', 'Phrase number1 alone', 'phrases number2 alone');
    expect(overlapOf(own, other).shared).toEqual([
      { phrase: 'phrase number1 alone', other: 'Phrase number1 alone', how: 'exact' },
      { phrase: 'phrase number2 alone', other: 'phrases number2 alone', how: 'stems' },
    ]);
  });
  it('lists the gravest first and never itself', () =>
    expect(
      overlapsOf(own, [
        own,
        holder('a', 'bell', 'phrase number1 alone'),
        holder('b', 'waterproof pannier'),
      ]).map(({ holder: { id } }) => id),
    ).toEqual(['b', 'a']));
});

describe('near wins', () => {
  const rules = defaultResearchRules();
  const pages = [
    {
      id: 'p',
      title: 'Waterproof panniers that last',
      path: '/panniers',
      keyword: 'waterproof panniers',
      supporting: ['roll top bag'],
    },
    { id: 'q', title: 'Tyres', path: '/tyres', keyword: 'touring tyre pressure', supporting: [] },
  ];
  const row = (query: string, page: string, position: number, impressions = 1000, clicks = 0) => ({
    query,
    page,
    position,
    impressions,
    clicks,
  });
  const of = (...rows: ReturnType<typeof row>[]) =>
    nearWins(rows, pages, rules, (address) => (address.startsWith('/') ? address : null));
  it('are queries at ranks 4 to 20 that are seen often enough, the greatest gain first', () => {
    const wins = of(
      row('a', '/x', 3.9),
      row('b', '/x', 4),
      row('c', '/x', 20, 5000),
      row('d', '/x', 20.1),
      row('e', '/x', 8, 9),
    );
    expect(wins.map(({ row: { query } }) => query)).toEqual(['c', 'b']);
  });
  it('count clicks at the target rank less those that are there', () => {
    expect(of(row('a', '/x', 9, 1000, 20))[0].gain).toBeCloseTo(1000 * rules.clickCurve[2] - 20, 9);
    expect(of(row('a', '/x', 4, 1000, 900))[0].gain).toBe(0);
    expect(clickShare([0.4, 0.2], 1.5)).toBeCloseTo(0.3, 9);
    expect(clickShare([0.4, 0.2], 7)).toBe(0);
  });
  it('tell whether the page that shows targets the query, and which other post was meant', () => {
    const [a, b, c, d, e] = [
      of(row('panniers waterproof', '/panniers', 9))[0],
      of(row('roll-top bags', '/panniers', 9))[0],
      of(row('panniers that last', '/panniers', 9))[0],
      of(row('touring tyre pressure', '/panniers', 9))[0],
      of(row('bell', 'https://other.example/', 9))[0],
    ];
    expect([a.targeting, b.targeting, c.targeting, d.targeting, e.targeting]).toEqual([
      'primary',
      'supporting',
      'title',
      'none',
      'none',
    ]);
    expect([a.meant, d.meant?.id, e.page]).toEqual([null, 'q', null]);
  });
});

describe('ideas', () => {
  const posts: KnownPost[] = [
    {
      id: 'p',
      title: 'Waterproof panniers: how to choose',
      keyword: 'waterproof panniers',
      supporting: ['roll top panniers'],
      headings: [
        { text: 'Mending a hole in a bag', words: 90 },
        { text: 'Waterproof panniers', words: 90 },
        { text: 'Short one here', words: 5 },
        { text: 'Conclusion and thanks', words: 80 },
      ],
    },
  ];
  const phrases = [
    rated('waterproof panniers', 900),
    rated('second hand waterproof panniers', 300),
    rated('used waterproof panniers', 200),
    rated('touring bike bell', 100),
    rated('how to mend a hole in a bag', 40),
    rated('rent touring bikes', 500),
  ];
  it('come from clusters that no post covers', () => {
    const ideas = ideasFromClusters(clustered(phrases), phrases, posts);
    expect(ideas.map(({ keyword }) => keyword)).toEqual([
      'rent touring bikes',
      'second hand waterproof panniers',
      'touring bike bell',
      'how to mend a hole in a bag',
    ]);
    expect(ideas[3].title).toBe('How to mend a hole in a bag');
    expect(ideas[0].line).toContain('500 searches a month');
  });
  it('come from titles: what adds something to a keyword that is there', () => {
    const ideas = ideasFromTitles(posts, phrases);
    expect(ideas.map(({ keyword, from }) => [keyword, from])).toEqual([
      ['second hand waterproof panniers', 'p'],
      ['used waterproof panniers', 'p'],
    ]);
    expect(ideas[0].line).toContain('Waterproof panniers: how to choose');
  });
  it('come from an offer only where its own words serve the phrase', () => {
    const ideas = ideasFromOffer('We rent touring bikes and mend them.', clustered(phrases), phrases, posts);
    expect(ideas.map(({ keyword }) => keyword)).toEqual(['rent touring bikes', 'touring bike bell']);
    expect(ideas[0].line).toContain('"rent"');
    expect(ideasFromOffer('We bake bread.', clustered(phrases), phrases, posts)).toEqual([]);
  });
  it('come from headings that stand alone, linked to their post', () =>
    expect(
      ideasFromHeadings(posts[0], phrases, posts).map(({ title, keyword, from }) => [title, keyword, from]),
    ).toEqual([['Mending a hole in a bag', 'how to mend a hole in a bag', 'p']]));
  it('are asked for again without repeats, whatever was done with the first', () => {
    const ideas = ideasFromClusters(clustered(phrases), phrases, posts);
    const first = freshIdeas(ideas, [], 2);
    const next = freshIdeas(ideas, first, 5);
    expect([...first, ...next]).toEqual(ideas);
    expect(freshIdeas(ideas, ideas, 5)).toEqual([]);
    expect(freshIdeas(ideas, [{ keyword: 'bells for touring bikes', title: '' }], 9)).toHaveLength(3);
  });
});
