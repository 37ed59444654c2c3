import { describe, expect, it } from 'vitest';
import { GROUPED } from './cluster-phrases.test-data.ts';
import {
  askingOf,
  clickShare,
  clusterPhrases,
  clusterSteps,
  defaultResearchRules,
  freshIdeas,
  type Holder,
  ideaSite,
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
  it('hold what shares words or pages, named by the phrase most asked for in their midst', () => {
    const [first, ...rest] = clusterPhrases(phrases);
    expect(first).toEqual({ head: 1, name: 'waterproof panniers', members: [1, 2, 3, 4], volume: 155 });
    expect(rest.map(({ members }) => members)).toEqual([[0], [5]]);
  });
  it('are those that a person made of phrases of other trades, all but a few', () => {
    const all = GROUPED.flat();
    const groupOf = new Map(GROUPED.flatMap((group, at) => group.map((phrase) => [phrase, at] as const)));
    const clusters = clusterPhrases(all.map((phrase, at) => ({ phrase, volume: 1000 - at, pages: null })));
    let [together, right] = [0, 0];
    for (const { members } of clusters)
      for (const [at, a] of members.entries())
        for (const b of members.slice(0, at)) {
          together += 1;
          if (groupOf.get(all[a]) === groupOf.get(all[b])) right += 1;
        }
    const wanted = GROUPED.reduce((sum, group) => sum + (group.length * (group.length - 1)) / 2, 0);
    expect(right / together).toBeGreaterThan(0.85);
    expect(right / wanted).toBeGreaterThan(0.9);
  });
  it('bring words of one meaning together, and part what only a word of asking joins', () => {
    const of = (...texts: string[]) =>
      clusterPhrases(texts.map((phrase) => ({ phrase, volume: 1, pages: null }))).map(({ members }) =>
        members.map((at) => texts[at]),
      );
    expect(of('mend a flat tyre', 'flat tire repair', 'tomato soup')).toHaveLength(2);
    expect(of('how long do boots last', 'how long is a marathon')).toHaveLength(2);
    expect(of('best boots', 'best laptop', 'top mattress')).toHaveLength(3);
  });
  it('keep phrases of another purpose apart that share half of their words', () => {
    const alike = { volume: 1, pages: null };
    const two = (intent: 'transactional' | 'informational') =>
      clusterPhrases([
        { phrase: 'canvas tent hire prices', intent: 'transactional', ...alike },
        { phrase: 'canvas tent care', intent, ...alike },
        { phrase: 'gas stove', intent: 'informational', ...alike },
      ]).length;
    expect(two('informational')).toBeGreaterThanOrEqual(two('transactional'));
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
    // The last one shares eight pages of its own and the common one with the first: nine in all.
    const twin = {
      phrase: 'another wording',
      volume: 1,
      pages: [everywhere, ...own('p0').slice(0, 8), own('x')[0]],
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
  it('tells a clash of other words for the same, and of keywords for which the same pages are found', () => {
    const phrases = [
      'bike lock',
      'bike light',
      'bike bell',
      'bike rack',
      'bike bag',
      'bike tent',
      'bike tour',
    ];
    const lists = phrases.map((phrase, at) => holder(`l${at}`, phrase, `${phrase} price`));
    const [one, two] = [holder('one', 'fix a flat bike tyre'), holder('two', 'flat tire repair')];
    const asking = askingOf([one, two, ...lists]);
    expect(overlapOf(one, two, asking)).toMatchObject({ degree: 'clash', primaryBy: 'meaning' });
    expect(overlapOf(one, lists[0], asking).degree).toBe('none');
    const found = askingOf(
      [one, ...lists],
      (a, b) => [a, b].includes('bike lock') && [a, b].includes('bike light'),
    );
    expect(overlapOf(lists[0], lists[1], found)).toMatchObject({
      degree: 'clash',
      primaryBy: 'results',
      shared: [],
    });
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
    expect(wins.map(({ row: { query } }) => query)).toEqual(['b', 'c']);
  });
  it('count clicks at the rank in reach less those that are there; what is far off reaches less', () => {
    const { reach, gain } = of(row('a', '/x', 6, 1000, 20))[0];
    expect([reach, gain]).toEqual([3, 1000 * rules.clickCurve[2] - 20]);
    expect(of(row('a', '/x', 16, 1000))[0].reach).toBe(8);
    expect(of(row('a', '/x', 4, 1000))[0].reach).toBe(2);
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
  const site = ideaSite(posts, phrases);
  /** Groups as somebody would make them. */
  const groups = [[0, 1, 2], [1, 2], [3], [4], [5]].map((members) => ({
    head: members[0],
    name: phrases[members[0]].phrase,
    members,
    volume: 0,
  }));
  it('come from clusters that no post answers, with a title as somebody would write it', () => {
    const ideas = ideasFromClusters(groups, phrases, site);
    expect(ideas.map(({ keyword }) => keyword)).toEqual([
      'rent touring bikes',
      'second hand waterproof panniers',
      'touring bike bell',
    ]);
    expect(ideas[0].title).toBe('How to rent touring bikes');
    expect(ideas[0].line).toContain('500 searches a month');
    // A section of a post mends the hole already.
    expect(ideas.some(({ phrases: all }) => all.includes('how to mend a hole in a bag'))).toBe(false);
  });
  it('come from titles: what adds something to a keyword that is there', () => {
    const ideas = ideasFromTitles(phrases, site);
    expect(ideas.map(({ keyword, from }) => [keyword, from])).toEqual([
      ['second hand waterproof panniers', 'p'],
      ['used waterproof panniers', 'p'],
    ]);
    expect(ideas[0].line).toContain('Goes into "second hand"');
  });
  it('come from an offer only where it serves what is asked, in whatever words', () => {
    const ideas = ideasFromOffer(
      'We hire out touring bikes and mend them.',
      clustered(phrases),
      phrases,
      site,
    );
    expect(ideas.map(({ keyword }) => keyword)).toEqual(['rent touring bikes']);
    expect(ideas[0].line).toContain('"hire"');
    expect(ideasFromOffer('We bake bread.', groups, phrases, site)).toEqual([]);
  });
  it('come from headings that stand alone and that somebody searches for, linked to their post', () => {
    expect(
      ideasFromHeadings(posts[0], phrases, site).map(({ title, keyword, from }) => [title, keyword, from]),
    ).toEqual([['Mending a hole in a bag', 'how to mend a hole in a bag', 'p']]);
    expect(ideasFromHeadings(posts[0], [rated('touring bike bell', 100)], site)).toEqual([]);
  });
  it('are asked for again without repeats, whatever was done with the first', () => {
    const ideas = ideasFromClusters(groups, phrases, site);
    const first = freshIdeas(ideas, [], 2);
    const next = freshIdeas(ideas, first, 5);
    expect([...first, ...next]).toEqual(ideas);
    expect(freshIdeas(ideas, ideas, 5)).toEqual([]);
    expect(freshIdeas(ideas, [{ keyword: 'bells for touring bikes', title: '' }], 9)).toHaveLength(2);
  });
  it('of a site in another language keep its phrases as they are', () => {
    const german = [rated('fahrrad im winter lagern', 50)];
    expect(ideasFromClusters(clustered(german), german, ideaSite([], german, false))[0].title).toBe(
      'Fahrrad im winter lagern',
    );
  });
});
