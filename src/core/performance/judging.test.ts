import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import { clickShare, type DatedRow, defaultResearchRules } from '../research/index.ts';
import { clearOnes } from './clear.ts';
import {
  asksForSite,
  changeParts,
  type LossCause,
  latestAndBefore,
  losingPages,
  ownCurve,
  pageChanges,
  SaidByPost,
  SearchHistory,
  seasonGain,
  type Thing,
  thingsThatMatter,
  unansweredQueries,
  underCurve,
  withExport,
} from './index.ts';

const { clickCurve } = defaultResearchRules();
const BEFORE = { from: '2026-09-01', to: '2026-09-28' };
const AFTER = { from: '2026-09-29', to: '2026-10-26' };

interface Figures {
  clicks: number;
  impressions: number;
  position: number;
}
const rowsOf = (page: string, query: string, was: Figures | null, is: Figures | null): DatedRow[] => [
  ...(was ? [{ page, query, ...was, ...BEFORE }] : []),
  ...(is ? [{ page, query, ...is, ...AFTER }] : []),
];
const historyOf = (rows: DatedRow[]) =>
  new SearchHistory(withExport([], rows, { name: 'a.csv', date: '2026-11-01' }).parts, (page) => page);
function losing(rows: DatedRow[], months: (query: string) => readonly number[] | null = () => null) {
  const history = historyOf(rows);
  const [before, after] = latestAndBefore(history)!;
  return losingPages(history, before, after, clickCurve, months);
}

describe('a page that loses', () => {
  const steady = rowsOf(
    '/steady',
    'ebb',
    { clicks: 90, impressions: 1800, position: 5 },
    { clicks: 92, impressions: 1850, position: 5 },
  );
  // September and October: less than half is searched in October.
  const autumn = [1, 1, 1, 1, 1, 1, 1, 1, 3, 1, 1, 1];

  it.each<[LossCause, Figures, Figures]>([
    [
      'position',
      { clicks: 100, impressions: 1900, position: 5 },
      { clicks: 42, impressions: 1850, position: 9 },
    ],
    ['shown', { clicks: 100, impressions: 1900, position: 5 }, { clicks: 48, impressions: 900, position: 5 }],
    [
      'clickRate',
      { clicks: 100, impressions: 1900, position: 5 },
      { clicks: 45, impressions: 1900, position: 5 },
    ],
  ])('tells that it was mostly %s', (cause, was, is) => {
    const [page, ...others] = losing([...steady, ...rowsOf('/tides', 'tide', was, is)]);
    expect(others).toEqual([]);
    expect(page).toMatchObject({ path: '/tides', cause, change: is.clicks - was.clicks });
    const { season, shown, position, clickRate } = page.parts;
    expect(season + shown + position + clickRate).toBeCloseTo(page.change, 6);
    // What is not its cause takes little.
    for (const part of ['season', 'shown', 'position', 'clickRate'] as const)
      if (part !== cause) expect(Math.abs(page.parts[part])).toBeLessThan(8);
  });

  it('tells that it was the season where its queries are searched less', () => {
    const rows = rowsOf(
      '/tides',
      'tide',
      { clicks: 100, impressions: 1900, position: 5 },
      { clicks: 40, impressions: 760, position: 5 },
    );
    const [page] = losing([...steady, ...rows], (query) => (query === 'tide' ? autumn : null));
    expect(page.cause).toBe('season');
    // The last days of September are in the later four weeks: it is not all of the season.
    expect(page.parts.season).toBeLessThan(-50);
    const [unknown] = losing([...steady, ...rows]);
    expect(unknown.cause).toBe('shown');
  });

  it('tells by its sum alone where search keeps its queries back, or shows it no more', () => {
    const whole = rowsOf(
      '/tides',
      '',
      { clicks: 100, impressions: 1900, position: 5 },
      { clicks: 40, impressions: 900, position: 5 },
    );
    expect(losing([...steady, ...whole])[0]).toMatchObject({ cause: 'shown', queries: [] });
    const gone = rowsOf('/gone', 'tide', { clicks: 100, impressions: 1900, position: 5 }, null);
    expect(losing([...steady, ...gone])[0]).toMatchObject({ path: '/gone', cause: 'shown', change: -100 });
  });

  it('is not named for what chance gives', () => {
    expect(
      losing(
        rowsOf(
          '/tides',
          'tide',
          { clicks: 30, impressions: 600, position: 5 },
          { clicks: 24, impressions: 590, position: 5 },
        ),
      ),
    ).toEqual([]);
  });

  const figures = fc.record({
    clicks: fc.integer({ min: 0, max: 200 }),
    impressions: fc.integer({ min: 200, max: 5000 }),
    position: fc.double({ min: 1, max: 40, noNaN: true }),
  });
  it('has lost what its parts add up to, whatever its figures are', () => {
    const query = fc.tuple(
      fc.constantFrom('tide', 'ebb', 'constructor', 'flood'),
      fc.option(figures),
      fc.option(figures),
    );
    fc.assert(
      fc.property(fc.uniqueArray(query, { selector: ([name]) => name, minLength: 1 }), (queries) => {
        const rows = [...steady, ...queries.flatMap(([name, was, is]) => rowsOf('/tides', name, was, is))];
        for (const page of losing(rows, (name) => (name === 'tide' ? autumn : null))) {
          const parts = Object.values(page.parts);
          expect(parts.every(Number.isFinite)).toBe(true);
          expect(parts.reduce((sum, part) => sum + part, 0)).toBeCloseTo(page.change, 4);
        }
      }),
    );
  });
});

describe('what is clear among many', () => {
  it('asks for more the more is looked at', () => {
    expect(clearOnes([2], 0.1)).toEqual([true]);
    expect(clearOnes([2, ...Array(99).fill(0)], 0.1)[0]).toBe(false);
    expect(clearOnes([4.5, ...Array(99).fill(0)], 0.1)[0]).toBe(true);
    expect(clearOnes([], 0.1)).toEqual([]);
    expect(clearOnes([Number.NEGATIVE_INFINITY, 0, -3], 0.1)).toEqual([false, false, false]);
  });
});

describe('the click-rate curve', () => {
  it('is that of the house where nothing is known, and the site’s own where much is', () => {
    for (const [at, { share }] of ownCurve([], clickCurve).entries())
      expect(share).toBeCloseTo(clickCurve[at], 12);
    const rows = clickCurve.map((share, at) => ({ position: at + 1, impressions: 1e6, clicks: share * 5e5 }));
    for (const [at, { share }] of ownCurve(rows, clickCurve).entries())
      expect(share).toBeCloseTo(clickCurve[at] / 2, 3);
  });

  it('never rises, and lies between nothing and all', () => {
    const row = fc
      .tuple(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.integer({ min: 0, max: 9999 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
      )
      .map(([position, impressions, rate]) => ({ position, impressions, clicks: impressions * rate }));
    fc.assert(
      fc.property(fc.array(row), (rows) => {
        const shares = ownCurve(rows, clickCurve).map(({ share }) => share);
        shares.forEach((share, at) => {
          expect(share >= 0 && share <= 1).toBe(true);
          if (at > 0) expect(share).toBeLessThanOrEqual(shares[at - 1] + 1e-12);
        });
      }),
    );
  });

  it.each([
    ['saltmarsh wheelworks', true],
    ['Saltmarsh Wheelworks opening times', true],
    ['saltmarsh', true],
    ['wheelworks', false],
    ['salt marsh walks', false],
    ['constructor', false],
  ])('leaves out who asks for the site itself: "%s"', (query, own) =>
    expect(asksForSite(query, 'Saltmarsh Wheelworks', 'www.saltmarsh.example')).toBe(own),
  );

  it('names the page that is opened less often than the others at its ranks', () => {
    const page = (path: string, rate: number, position = 4.5): DatedRow => ({
      page: path,
      query: `query of ${path}`,
      impressions: 4000,
      position,
      clicks: Math.round(4000 * clickShare(clickCurve, position) * rate),
      ...AFTER,
    });
    const rows = [
      page('/a', 1.05),
      page('/b', 0.95, 3),
      page('/c', 1, 7),
      page('/d', 1.1, 6),
      page('/dull', 0.4),
    ];
    const found = underCurve(rows, ownCurve(rows, clickCurve), clickCurve);
    expect(found.map(({ path }) => path)).toEqual(['/dull']);
    expect(found[0].missing).toBeCloseTo(found[0].expected - found[0].clicks, 9);
    expect(underCurve(rows.slice(0, 4), ownCurve(rows.slice(0, 4), clickCurve), clickCurve)).toEqual([]);
  });
});

describe('what readers saw change', () => {
  const post = (text: string, fields: Partial<ReturnType<typeof emptyFields>> = {}) => ({
    fields: { ...emptyFields(), title: 'Tides', slug: 'tides', ...fields },
    draft: readMarkdown(text).draft,
  });
  const first = post('Low water first.\n\n## The table\n\nSee [the chart](/chart).');

  it('is told by what came and went', () => {
    const next = post(
      'Low water comes first.\n\n## The table\n\nSee [the chart](/chart) and [more](/more).\n\n## The clock\n\nMind it.',
      {
        metaTitle: 'Tides for riders',
      },
    );
    expect(changeParts(first, next)).toEqual([
      { kind: 'meta-title', words: '“Tides” became “Tides for riders”' },
      { kind: 'text', words: '7 words added' },
      { kind: 'headings', words: '1 heading added' },
      { kind: 'links', words: '1 link added' },
    ]);
    expect(changeParts(next, first).map(({ words }) => words)).toContain('1 link taken out');
    expect(changeParts(first, first)).toEqual([]);
  });

  it('begins with the publication, and counts what was sent several times in a day once', () => {
    const linked = post('Low water first.\n\n## The table\n\nSee [the chart](/chart), [more](/more).');
    const sent = [
      { day: '2026-09-02', document: post('Draft of the day.') },
      { day: '2026-09-02', document: linked },
      { day: '2026-05-05', document: first },
      { day: '2026-10-01', document: linked },
    ];
    expect(
      pageChanges(sent, '2026-05-05').map(({ day, parts }) => [day, parts.map(({ kind }) => kind)]),
    ).toEqual([
      ['2026-05-05', ['published']],
      ['2026-09-02', ['text', 'links']],
    ]);
    expect(pageChanges([], '2026-05-05')).toEqual([
      { day: '2026-05-05', parts: [{ kind: 'published', words: '' }] },
    ]);
    expect(pageChanges([], '')).toEqual([]);
  });
});

describe('a query that a post is shown for', () => {
  const bases = WordBases.of(new Vocabulary());
  const { draft } = readMarkdown(
    'Rolled bags keep dry.\n\n## Patching a hole\n\nDry the fabric, then glue a patch over the hole and press it for an hour.\n\n## Sizes\n\nTwenty litres a side carry clothes for a week.',
  );
  const fields = {
    ...emptyFields(),
    title: 'Waterproof panniers for touring',
    keyword: 'waterproof panniers',
  };
  const said = new SaidByPost(fields, draft, bases);

  it.each([
    ['best waterproof panniers', true],
    ['how to repair waterproof panniers', true],
    ['what size panniers for touring', true],
    ['pannier rain covers', false],
    ['second hand panniers', false],
    ['handlebar bag', false],
    ['constructor', false],
  ])('"%s" is answered: %s', (query, answered) => expect(said.answers(query)).toBe(answered));

  const sum = (query: string, impressions: number, position = 12) => ({
    query,
    impressions,
    position,
    clicks: 1,
  });
  it('is put together with others that ask for the same, and left to the post that it is meant for', () => {
    const found = unansweredQueries(
      [
        sum('pannier rain covers', 40),
        sum('rain covers for panniers', 60, 17),
        sum('handlebar bags', 30),
        sum('rare', 2),
        sum('waterproof panniers', 900),
      ],
      said,
      { keyword: 'waterproof panniers', supporting: [] },
      [{ id: 'bar', phrase: 'handlebar bag' }],
    );
    expect(
      found.map(({ query, impressions, alike, meantFor }) => [query, impressions, alike, meantFor]),
    ).toEqual([
      ['rain covers for panniers', 100, ['pannier rain covers'], ''],
      ['handlebar bags', 30, [], 'bar'],
    ]);
    expect(found[0].position).toBeCloseTo((60 * 17 + 40 * 12) / 100, 9);
  });
});

describe('the things that matter', () => {
  it('are those with most clicks at stake, one of a page', () => {
    const thing = (path: string, clicks: number): Thing => ({ path, clicks, reason: { kind: 'title' } });
    const things = [
      thing('/a', 5),
      thing('/b', 40),
      thing('/b', 30),
      thing('/c', 0.4),
      thing('/d', 5),
      thing('/e', 9),
    ];
    expect(thingsThatMatter(things).map(({ path, clicks }) => [path, clicks])).toEqual([
      ['/b', 40],
      ['/e', 9],
      ['/a', 5],
    ]);
    expect(thingsThatMatter([])).toEqual([]);
  });
});

describe('a season that is about to begin', () => {
  // Half of the mean until March, twice of it from April to June.
  const spring = [1, 1, 1, 4, 4, 4, 1.5, 1.5, 1.5, 1.5, 1.5, 1.5];
  const on = (day: string) => new Date(`${day}T00:00:00Z`);
  it('gains a page what its height is above what is asked now', () => {
    // The mean is 2: a month at half of it, the season at twice.
    expect(seasonGain(10, spring, on('2026-03-01'))).toEqual({ weeks: 4, clicks: 30 });
  });
  it.each([
    ['that lasts already', spring, '2026-04-10'],
    ['that is months away', spring, '2026-11-30'],
    ['that nobody knows', null, '2026-03-01'],
    ['without a height', Array<number>(12).fill(3), '2026-03-01'],
    ['before which nobody asks', [0, 0, 0, 4, 4, 4, 1, 1, 1, 1, 1, 1], '2026-03-01'],
  ])('gains nothing of one %s', (_name, months, day) => expect(seasonGain(10, months, on(day))).toBeNull());
});
