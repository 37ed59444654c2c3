import { describe, expect, it } from 'vitest';
import { Vocabulary } from '../language/index.ts';
import {
  anyKeyword,
  difficultyOf,
  difficultyPrior,
  type FoundPage,
  intentOf,
  type Keyword,
  type KeywordWish,
  keywordView,
  OwnPhrases,
  opportunityOf,
  relatedPhrases,
  seasonAhead,
  seasonOf,
  seasonsSoon,
  siteSubject,
  squareness,
  weeksUntil,
} from './index.ts';

const page = (rest: Partial<FoundPage> = {}): FoundPage => ({
  address: 'https://a.example/',
  title: 'A',
  publisher: 'Long Verge',
  kind: 'magazine',
  standing: 50,
  squareness: 1,
  ...rest,
});

describe('how squarely a page answers', () => {
  const text = {
    title: 'Waterproof panniers, tested',
    description: '',
    headings: ['Which pannier is waterproof?', 'Price'],
    blocks: ['Waterproof panniers keep rain out.', 'A rack is needed. Hooks wear.'],
  };
  it('is full for what title, headings, opening and body speak of, and little for what they do not', () => {
    const [full, part, none] = squareness(
      text,
      ['waterproof panniers', 'pannier rack', 'sourdough'],
      new Vocabulary(),
    );
    expect(full).toBeGreaterThan(0.9);
    expect(part).toBeGreaterThan(0);
    expect(part).toBeLessThan(0.4);
    expect(none).toBe(0);
  });
  it('knows that a page about touring for the first time is near a first bike tour', () => {
    const about = {
      title: 'Touring for the first time',
      description: '',
      headings: [],
      blocks: ['You need time.'],
    };
    const [near] = squareness(about, ['first bike tour'], new Vocabulary());
    expect(near).toBeGreaterThan(0.1);
    expect(near).toBeLessThan(0.5);
  });
});

describe('difficulty', () => {
  const of = (found: FoundPage[] | null, givenDifficulty: number | null = null) =>
    difficultyOf({ found, givenDifficulty });
  it('is 100 where ten pages of full standing answer squarely; not known where no page is', () => {
    expect(of(Array(10).fill(page({ standing: 100 })))!.value).toBeCloseTo(100, 9);
    expect(of([])).toBeNull();
    expect(of(null)).toBeNull();
  });
  it('counts ranks without a known page as the market is there, and says how far that may be off', () => {
    const market = Array.from({ length: 60 }, (_, at) => ({
      found: Array.from({ length: 10 }, () => page({ standing: 20 + (at % 3) * 10 })),
    }));
    const prior = difficultyPrior(market);
    expect(prior.means.every((mean) => mean > 29 && mean < 33)).toBe(true);
    const three = difficultyOf(
      { found: Array(3).fill(page({ standing: 90 })), givenDifficulty: null },
      prior,
    )!;
    const [one, ten] = [1, 10].map(
      (count) =>
        difficultyOf({ found: Array(count).fill(page({ standing: 90 })), givenDifficulty: null }, prior)!,
    );
    // Three hard pages are no easy phrase, and not as sure as ten.
    expect(three.value).toBeGreaterThan(one.value);
    expect(three.value).toBeLessThan(ten.value);
    expect(one.give).toBeGreaterThan(three.give);
    expect(ten.give).toBe(0);
    const points = three.shares.reduce((sum, share) => sum + share.points, 0);
    expect(points + three.assumed).toBeCloseTo(three.value, 9);
    expect(three.assumed).toBeGreaterThan(10);
  });
  it('is the sum of the shares of the ten first pages; the first weighs most', () => {
    const { value, shares } = of(Array.from({ length: 14 }, (_, at) => page({ standing: 40 + at })))!;
    expect(shares).toHaveLength(10);
    expect(shares.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(value, 9);
    const even = of(Array(10).fill(page()))!.shares.map(({ points }) => points);
    expect(even).toEqual([...even].sort((a, b) => b - a));
  });
  it('is lower where pages only touch the phrase, and as given where a file gave it', () => {
    expect(of([page({ squareness: 0.1 })])!.value).toBeLessThan(of([page()])!.value);
    expect(of([page()], 63)).toEqual({
      value: 63,
      from: 'given',
      shares: [],
      assumed: 0,
      give: 0,
    });
  });
});

describe('intent', () => {
  const of = (phrase: string, found: FoundPage[] | null = null) => intentOf({ phrase, found });
  it.each([
    ['how to fix a flat', 'informational'],
    ['touring bike rental', 'transactional'],
    ['best touring tyres', 'commercial'],
    ['panniers vs trailer', 'commercial'],
    ['how much does it cost to rent a bike', 'informational'],
    ['panniers', 'informational'],
  ])('of "%s" is %s', (phrase, intent) => expect(of(phrase).intent).toBe(intent));
  it('follows the pages found where the words say nothing, and says why', () => {
    const shops = Array(8).fill(page({ kind: 'shop' }));
    expect(of('panniers', [...shops, page(), page()])).toMatchObject({
      intent: 'transactional',
      reasons: ['8 of the first 10 pages sell or rent'],
    });
  });
  it('is navigational where the phrase names a publisher that is found', () =>
    expect(of('long verge essays', [page()]).reasons).toContain(
      'it names Long Verge, which is found for it',
    ));
  it('has shares that add up to one', () => {
    const { shares } = of('buy the best panniers', [page(), page({ kind: 'maker' })]);
    expect(Object.values(shares).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
  });
});

describe('seasons', () => {
  const summer = [1, 1, 1, 2, 4, 6, 6, 5, 2, 1, 1, 1];
  it('begin where a month first stands a quarter above the mean', () => {
    expect(seasonOf(summer)).toMatchObject({ from: 4, peak: 5 });
    expect(seasonOf([6, 5, 2, 1, 1, 1, 1, 1, 1, 2, 4, 6])).toMatchObject({ from: 10, peak: 0 });
    expect(seasonOf(Array(12).fill(7))).toBeNull();
    expect(seasonOf(Array(12).fill(0))).toBeNull();
    expect(seasonOf(null)).toBeNull();
  });
  it('ahead are the best of the next three months against the mean', () => {
    const mean = summer.reduce((sum, value) => sum + value) / 12;
    expect(seasonAhead(summer, 3)).toBeCloseTo(6 / mean, 9);
    expect(seasonAhead(summer, 10)).toBeCloseTo(1 / mean, 9);
  });
  it('that begin soon are told in time, those worth most first', () => {
    const phrases = [
      { months: summer, opportunity: 20 },
      { months: summer, opportunity: 70 },
      { months: Array(12).fill(1), opportunity: 90 },
      { months: null, opportunity: 90 },
    ];
    const on = (day: string) =>
      seasonsSoon(phrases, new Date(`${day}T00:00:00Z`)).map(({ index, weeks }) => [index, weeks]);
    expect(on('2026-03-21')).toEqual([
      [1, 5],
      [0, 5],
    ]);
    // May has begun: the next is a year away.
    expect(on('2026-05-02').map(([index]) => index)).toEqual([]);
    expect(on('2026-01-01')).toEqual([
      [1, 17],
      [0, 17],
    ]);
  });
  it('are so many weeks away', () => {
    expect(weeksUntil(4, new Date('2026-03-20T00:00:00Z'))).toBe(6);
    expect(weeksUntil(2, new Date('2026-03-20T00:00:00Z'))).toBe(0);
    expect(weeksUntil(0, new Date('2026-11-25T00:00:00Z'))).toBe(5);
  });
});

describe('opportunity', () => {
  const posts = [
    {
      id: 'p',
      title: 'Waterproof panniers: how to choose',
      keyword: 'waterproof panniers',
      supporting: ['roll top panniers'],
      headings: [{ text: 'How to mend a hole in the seam', words: 80 }],
    },
  ];
  const site = {
    subject: siteSubject(['Touring bikes and panniers to rent'], [['Waterproof panniers']]),
    own: null,
  };
  const of = (rest: object) =>
    opportunityOf(
      { phrase: 'waterproof panniers', volume: 1000, months: null, difficulty: 30, ...rest },
      site,
      3,
    );
  it('grows with volume, ease and fit', () => {
    expect(of({ volume: 5000 })!.value).toBeGreaterThan(of({})!.value);
    expect(of({ difficulty: 10 })!.value).toBeGreaterThan(of({})!.value);
    expect(of({ phrase: 'sourdough starter' })!.value).toBeLessThan(of({})!.value);
  });
  it('fits an angle of the subject as well as what is written already, and what is foreign less', () => {
    const near = (phrase: string) => of({ phrase })!.parts.fit!;
    expect(near('touring bike insurance')).toBeGreaterThan(0.7);
    expect(near('hire touring bikes')).toBe(1);
    expect(near('sourdough starter')).toBe(0);
  });
  it('is less where a post of the site has the phrase, by what it means, and says which', () => {
    const own = new OwnPhrases(posts);
    const held = (phrase: string) =>
      opportunityOf({ phrase, volume: 1000, months: null, difficulty: 30 }, { ...site, own }, 3)!;
    const free = (phrase: string) => of({ phrase })!.value;
    for (const [phrase, how] of [
      ['best waterproof pannier', 'target'],
      ['roll-top panniers', 'supporting'],
      ['fix a hole in a seam', 'answers'],
    ] as const) {
      expect(held(phrase).held).toEqual({ how, id: 'p', title: posts[0].title });
      expect(held(phrase).value).toBeLessThan(free(phrase) * 0.7);
    }
    expect(held('pannier racks').held).toBeNull();
    expect(held('constructor').held).toBeNull();
  });
  it('is next to nothing where nobody asks, however easy it is', () =>
    expect(of({ volume: 0, difficulty: 0 })!.value).toBeLessThan(of({})!.value / 2));
  it('leaves out what is not known; without volume and difficulty there is none', () => {
    expect(of({ difficulty: null })!.parts.ease).toBeNull();
    expect(of({ volume: null, difficulty: null })).toBeNull();
  });
  it('stays within 0 and 100', () => {
    for (const volume of [0, 10, 1e7])
      for (const difficulty of [0, 50, 100]) {
        const value = of({ volume, difficulty })!.value;
        expect(value).toBeGreaterThanOrEqual(0);
        expect(value).toBeLessThanOrEqual(100);
      }
  });
});

describe('related phrases', () => {
  const found = (...names: string[]) => names.map((name) => ({ address: name }));
  const pool = [
    { phrase: 'waterproof panniers', found: found('a', 'b', 'c', 'd', 'e') },
    { phrase: 'best waterproof panniers', found: null },
    { phrase: 'panniers that are waterproof', found: null },
    { phrase: 'are waterproof panniers worth it', found: null },
    { phrase: 'roll top bag', found: found('a', 'b', 'c', 'd') },
    { phrase: 'bell', found: found('a', 'b', 'c') },
    { phrase: 'superwaterproof pannierset', found: null },
  ];
  it('say why they are related', () => {
    expect(
      relatedPhrases(['Waterproof  Panniers'], pool).map(({ index, relation }) => [index, relation]),
    ).toEqual([
      [0, 'seed'],
      [1, 'contains'],
      [2, 'stems'],
      [3, 'question'],
      [4, 'pages'],
    ]);
    expect(relatedPhrases(['waterproof panniers'], pool)[4].reason).toBe(
      '4 of the first ten pages are the same',
    );
  });
  it('are found for several seeds at once; none for words of no meaning', () => {
    expect(relatedPhrases(['bell', 'roll top bag'], pool).map(({ index }) => index)).toEqual([0, 4, 5]);
    expect(relatedPhrases(['', '  ', '???'], pool)).toEqual([]);
  });
});

describe('a table of keywords', () => {
  const records = ['bike bell', 'how to ring a bell', 'bike horn', 'cheap bell'].map(
    (phrase, at): Keyword => ({
      phrase,
      region: 'GB',
      volume: [100, 50, Number.NaN, 100][at],
      months: null,
      givenDifficulty: null,
      found: null,
      setIntent: null,
      source: { name: '', date: `2026-0${at + 1}-01` },
    }),
  );
  const figures = {
    volume: Float64Array.of(100, 50, Number.NaN, 100),
    difficulty: Float64Array.of(20, Number.NaN, 5, 40),
    opportunity: () => Float64Array.of(3, 4, Number.NaN, 1),
    intent: (row: number) => intentOf(records[row]).intent,
  };
  const view = (wish: Partial<KeywordWish>, ...rest: [Uint32Array?, ((row: number) => boolean)?]) => [
    ...keywordView(records, figures, { ...anyKeyword, ...wish }, ...rest),
  ];
  it('is put in order; equal ones as they came, what is not known last either way', () => {
    expect(view({ sort: 'volume' })).toEqual([0, 3, 1, 2]);
    expect(view({ sort: 'volume', descending: false })).toEqual([1, 0, 3, 2]);
    expect(view({ sort: 'phrase', descending: false })).toEqual([0, 2, 3, 1]);
    expect(view({ sort: 'opportunity' })).toEqual([1, 0, 3, 2]);
    expect(view({ sort: 'date' })).toEqual([3, 2, 1, 0]);
  });
  it('is filtered by words, figures, intent, questions and lists', () => {
    expect(view({ contains: 'BELL' }).sort()).toEqual([0, 1, 3]);
    expect(view({ contains: 'bell', without: 'bike cheap' })).toEqual([1]);
    expect(view({ volumeFrom: 60 }).sort()).toEqual([0, 3]);
    expect(view({ volumeTo: 60 })).toEqual([1]);
    expect(view({ difficultyTo: 20 }).sort()).toEqual([0, 2]);
    expect(view({ questionsOnly: true })).toEqual([1]);
    expect(view({ intent: 'transactional' })).toEqual([3]);
    expect(view({ onNoList: true }, undefined, (row) => row !== 2)).toEqual([2]);
    expect(view({ contains: 'bike' }, Uint32Array.of(0, 1))).toEqual([0]);
  });
});
