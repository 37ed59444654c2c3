import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../../draft/index.ts';
import { HOSTILE_WORDS } from '../../language/hostile-words.test-data.ts';
import { Vocabulary } from '../../language/index.ts';
import { LinkBook, type LinkTarget } from '../linking/index.ts';
import { clicksFromHome, listPageOf } from './clicks-from-home.ts';
import { groupsOf, piecesOf } from './groups.ts';
import {
  helpfulLinks,
  type LinkCandidate,
  linkCandidates,
  neediestPages,
  strongestPages,
} from './helpful-links.ts';
import { mapLayout } from './map-layout.ts';
import { pageWeights } from './page-weight.ts';
import { type GraphPage, type SiteGraph, SiteGraphBuilder } from './site-graph.ts';
import { siteStanding } from './standing.ts';

const page = (path: string, more: Partial<GraphPage> = {}): GraphPage => ({
  path,
  title: path,
  keyword: '',
  category: '',
  postId: path === '/' ? null : path,
  status: path === '/' ? null : 'published',
  published: '',
  ...more,
});
const graphOf = (count: number, pairs: readonly (readonly [number, number])[]): SiteGraph => ({
  pages: Array.from({ length: count }, (_, at) => page(at === 0 ? '/' : `/p${at}`)),
  links: [...pairs]
    .sort((a, b) => a[0] - b[0] || a[1] - b[1])
    .map(([from, to]) => ({ from, to, words: [`p${to}`], fragments: [''] })),
});
const LISTS = { perPage: 10, listPage: 0, isOpen: () => true };
const randomGraph = fc
  .tuple(fc.integer({ min: 1, max: 30 }), fc.array(fc.tuple(fc.nat(29), fc.nat(29)), { maxLength: 120 }))
  .map(([count, pairs]) => {
    const met = new Map(
      pairs.map(([from, to]) => [`${from % count} ${to % count}`, [from % count, to % count] as const]),
    );
    return graphOf(
      count,
      [...met.values()].filter(([from, to]) => from !== to),
    );
  });

const target = (path: string, keyword: string, title = keyword): LinkTarget => ({
  path,
  address: path,
  title,
  keyword,
  supporting: [],
  status: 'published',
  postId: path.slice(1),
});

describe('the graph of a site', () => {
  it('holds who links to whom, by which words, however the address is written; links elsewhere and to itself are none', () => {
    const targets = [target('/tides', 'tide table'), target('/lamp', 'bike lamp')];
    const builder = new SiteGraphBuilder(
      targets,
      new Map([['tides', { category: 'Routes', published: '2026-01-02' }]]),
      'https://saltmarsh.example',
      'Saltmarsh',
    );
    const { draft } = readMarkdown(
      'Take [a lamp](/lamp/), [this lamp](https://www.saltmarsh.example/lamp.html?x=1#top), [home](/), [elsewhere](https://a.example/lamp), [here](/tides) and [nowhere](/gone).\n\n[![The lamp](media/lamp.jpg)](lamp)',
    );
    builder.add('/tides', draft.blocks);
    builder.add('/unknown', draft.blocks);
    builder.add(null, draft.blocks);
    const { pages, links } = builder.graph();
    expect(pages.map(({ path, category }) => [path, category])).toEqual([
      ['/', ''],
      ['/lamp', ''],
      ['/tides', 'Routes'],
    ]);
    expect(links).toEqual([
      { from: 2, to: 0, words: ['home'], fragments: [''] },
      { from: 2, to: 1, words: ['a lamp', 'this lamp', 'The lamp'], fragments: ['', 'top', ''] },
    ]);
  });
  it('takes any word as a path', () => {
    const targets = HOSTILE_WORDS.map((word) => target(`/${encodeURIComponent(word).toLowerCase()}`, word));
    const builder = new SiteGraphBuilder(targets, new Map(), null, '');
    for (const { path } of targets) builder.add(path, readMarkdown(`[x](${targets[0].path})`).draft.blocks);
    const standing = siteStanding(builder.graph(), LISTS);
    expect(JSON.stringify(standing)).not.toMatch(/null|NaN/);
    expect(standing.groups.reduce((sum, { size }) => sum + size, 0)).toBeLessThanOrEqual(targets.length + 1);
  });
});

describe('the weight of pages', () => {
  it('is that of the published formula, worked out by hand', () => {
    // 0 and 1 link to each other, 2 links to 0: with d = 0.85 and three pages, x2 = 0.05, and x0, x1 by two equations.
    const [x0, x1, x2] = pageWeights(
      graphOf(3, [
        [0, 1],
        [1, 0],
        [2, 0],
      ]),
    );
    expect(x2).toBeCloseTo(0.05, 6);
    const wanted0 = (0.05 + 0.85 * (0.05 + 0.05)) / (1 - 0.85 * 0.85);
    expect(x0).toBeCloseTo(wanted0, 6);
    expect(x1).toBeCloseTo(0.05 + 0.85 * wanted0, 6);
  });
  it('is all together 1, each with some, whatever the links', () => {
    fc.assert(
      fc.property(randomGraph, (graph) => {
        const weights = pageWeights(graph);
        expect(weights.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 6);
        expect(Math.min(...weights)).toBeGreaterThan(0);
        // From another beginning the same comes out.
        const again = pageWeights(
          graph,
          weights.map((_, at) => (at === 0 ? 1 : 0)),
        );
        again.forEach((one, at) => {
          expect(one).toBeCloseTo(weights[at], 5);
        });
      }),
    );
  });
});

describe('clicks from home', () => {
  const chain = graphOf(4, [
    [0, 1],
    [1, 2],
    [2, 1],
  ]);
  it('count along the shortest way; a page that no way leads to has none', () =>
    expect([...clicksFromHome(chain, null)]).toEqual([0, 1, 2, -1]));
  it('count over the lists too, the newest posts first, a page of the list a click, and over categories', () => {
    const graph: SiteGraph = {
      links: [],
      pages: [
        page('/'),
        page('/a', { published: '2026-01-01', category: 'Gear' }),
        page('/b', { published: '2026-03-01' }),
        page('/c', { published: '2026-02-01', category: 'Routes' }),
        page('/draft', { status: 'draft' }),
        page('/journal', { postId: null }),
      ],
    };
    const isOpen = (at: number) => graph.pages[at].status !== 'draft';
    // Newest first one by one: b, c, a; the categories' lists lead to their first in two clicks.
    expect([...clicksFromHome(graph, { perPage: 1, listPage: 0, isOpen })]).toEqual([0, 2, 1, 2, -1, -1]);
    // The posts are listed on a page of their own: everything is a click further.
    expect([...clicksFromHome(graph, { perPage: 10, listPage: 5, isOpen })]).toEqual([0, 2, 2, 2, -1, 1]);
  });
});

describe('the page that lists the posts', () => {
  const graph: SiteGraph = {
    links: [],
    pages: [page('/'), page('/journal', { postId: null }), page('/notes')],
  };
  it('is the one at which their addresses begin, else the home page; never a post', () => {
    expect(listPageOf(graph, '/journal/{slug}')).toBe(1);
    expect(listPageOf(graph, '/{slug}')).toBe(0);
    expect(listPageOf(graph, '/blog/{slug}')).toBe(0);
    expect(listPageOf(graph, '/notes/{slug}')).toBe(0);
  });
});

describe('groups and pieces', () => {
  // Two triangles with one link between, and a page alone.
  const two = graphOf(8, [
    [1, 2],
    [2, 3],
    [3, 1],
    [4, 5],
    [5, 6],
    [6, 4],
    [3, 4],
  ]);
  it('part what links among itself from the rest', () => {
    const groups = groupsOf(two);
    expect(new Set([groups[1], groups[2], groups[3]]).size).toBe(1);
    expect(new Set([groups[4], groups[5], groups[6]]).size).toBe(1);
    expect(groups[1]).not.toBe(groups[4]);
    expect([groups[0], groups[7]]).toEqual([-1, -1]);
  });
  it('tell what hangs together at all', () =>
    expect([
      ...piecesOf(
        graphOf(5, [
          [1, 2],
          [4, 3],
        ]),
      ),
    ]).toEqual([0, 1, 1, 3, 3]));
  it('are the same every time, and so are the places of the map, all on the paper', () => {
    fc.assert(
      fc.property(randomGraph, (graph) => {
        const groups = groupsOf(graph);
        expect([...groupsOf(graph)]).toEqual([...groups]);
        const { x, y } = mapLayout(graph, groups);
        expect([...mapLayout(graph, groups).x]).toEqual([...x]);
        for (const value of [...x, ...y]) {
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('how a site stands', () => {
  it('tells posts that nothing links to, that lead nowhere, and pages that hold all together', () => {
    const graph = graphOf(9, [
      [1, 2],
      [3, 2],
      [4, 2],
      [5, 2],
      [6, 2],
      [7, 2],
      [2, 1],
    ]);
    const standing = siteStanding(graph, { ...LISTS, isOpen: (at) => at !== 8 });
    expect(standing.orphans).toEqual([3, 4, 5, 6, 7]);
    expect(standing.deadEnds).toEqual([]);
    expect(standing.hubs).toEqual([2]);
    expect(standing.pages[2]).toMatchObject({ ins: 6, outs: 1 });
    expect(siteStanding(graphOf(3, [[1, 2]]), LISTS).deadEnds).toEqual([2]);
  });
  it('tells pages that are linked to by words that do not name them; a word’s kin names it', () => {
    const graph: SiteGraph = {
      pages: [page('/'), page('/rent', { title: 'Rent a bike' }), page('/a'), page('/b'), page('/c')],
      links: [
        { from: 2, to: 1, words: ['here', 'our rental page', 'deposit'], fragments: ['', '', 'the-deposit'] },
        { from: 3, to: 1, words: ['read more'], fragments: ['deposit'] },
        { from: 4, to: 1, words: ['click this'], fragments: [''] },
        { from: 4, to: 0, words: ['here', 'here', 'here'], fragments: ['', '', ''] },
      ],
    };
    const { poorlyNamed, pages } = siteStanding(graph, LISTS);
    expect(poorlyNamed).toEqual([1]);
    // What names the section that it leads to names enough.
    expect(pages[1]).toMatchObject({ words: 5, poor: ['here', 'read more', 'click this'] });
  });
  it('takes the first letters of a title for its name', () => {
    const graph: SiteGraph = {
      pages: [page('/'), page('/a', { title: 'Search engine results pages' }), page('/b')],
      links: [{ from: 2, to: 1, words: ['SERP', 'RSVP', 'constructor'], fragments: ['', '', ''] }],
    };
    expect(siteStanding(graph, LISTS).pages[1].poor).toEqual(['RSVP', 'constructor']);
  });
  it('names a group by the category that most of it is in, else by its heaviest page', () => {
    const pages = [
      page('/'),
      ...['/a', '/b', '/c'].map((path) => page(path, { category: 'Gear' })),
      page('/d'),
      page('/e', { title: 'Tides' }),
    ];
    const graph: SiteGraph = {
      pages,
      links: [
        [1, 2],
        [2, 3],
        [3, 1],
        [4, 5],
      ].map(([from, to]) => ({ from, to, words: ['x'], fragments: [''] })),
    };
    expect(siteStanding(graph, LISTS).groups).toEqual([
      { name: 'Gear', size: 3 },
      { name: 'Around “Tides”', size: 2 },
    ]);
  });
});

describe('the links that help most', () => {
  const offer = (strength: number, start = 0): LinkCandidate['offer'] => ({
    target: target('/x', 'x'),
    blockId: 'b',
    start,
    end: start + 3,
    quote: 'abc',
    sentence: 'abc',
    from: 0,
    strength,
  });
  it('raise the pages they lead to by what is computed on the whole site, and tell who gives it up', () => {
    const graph = graphOf(6, [
      [1, 2],
      [2, 1],
      [3, 2],
      [4, 2],
    ]);
    const links = helpfulLinks(
      graph,
      [
        { from: 2, to: 5, offer: offer(0.9) },
        { from: 3, to: 4, offer: offer(0.9) },
      ],
      10,
    );
    expect(links.map(({ from, to }) => [from, to])).toEqual([
      [2, 5],
      [3, 4],
    ]);
    const [first] = links;
    const now = pageWeights(graph);
    const then = pageWeights({ pages: graph.pages, links: [...graph.links, { from: 2, to: 5 }] });
    expect(first.before).toBeCloseTo(now[5], 6);
    expect(first.after).toBeCloseTo(then[5], 6);
    expect(first.isFirst).toBe(true);
    // Page 1 had all of what page 2 passes on, and now has half.
    expect(first.losers[0].page).toBe(1);
    expect(first.losers[0].after).toBeCloseTo(then[1], 6);
  });
  it('are none that is there already, none on words that carry one, two of a page and to a page at most', () => {
    const graph = graphOf(8, [[1, 2]]);
    const all = [2, 3, 4, 5, 6, 7].map((to) => ({ from: 1, to, offer: offer(0.9, to * 10) }));
    expect(helpfulLinks(graph, all, 10)).toHaveLength(2);
    expect(helpfulLinks(graph, all.slice(0, 1), 10)).toEqual([]);
    const same = [
      { from: 1, to: 3, offer: offer(0.9) },
      { from: 1, to: 4, offer: offer(0.9, 2) },
    ];
    expect(helpfulLinks(graph, same, 10)).toHaveLength(1);
    const into = [3, 4, 5].map((from) => ({ from, to: 6, offer: offer(0.9) }));
    expect(helpfulLinks(graph, into, 10)).toHaveLength(2);
  });
  it('go from strong pages to needy ones that readers can open', () => {
    const graph = graphOf(6, [
      [1, 2],
      [3, 2],
      [2, 4],
      [2, 5],
    ]);
    const weights = pageWeights(graph);
    expect(strongestPages(graph, weights, (at) => at !== 3, 2)).toEqual([4, 5]);
    expect(neediestPages(weights, (at) => at !== 3, 1)).toEqual([1]);
  });
  it('stand on words that surely speak of the page, never on the post’s own keyword', () => {
    const { draft } = readMarkdown(
      'A tide table is read by lamp light. Bring a bike lamp along when the causeway is dark.',
    );
    const book = new LinkBook(
      [target('/lamp', 'bike lamp'), target('/tide-tables', 'tide table')],
      new Vocabulary(),
    );
    const index = new Map([
      ['/lamp', 1],
      ['/tide-tables', 2],
    ]);
    const post = { keyword: 'tide table', language: 'en' };
    const found = linkCandidates(3, draft.blocks, post, book, new Set(), index);
    expect(found.map(({ from, to, offer: { quote } }) => [from, to, quote])).toEqual([[3, 1, 'bike lamp']]);
  });
});
