import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../criteria/index.ts';
import { readMarkdown } from '../draft/index.ts';
import { tokenize, Vocabulary, WordBases } from '../language/index.ts';
import {
  type Asked,
  bandOf,
  bareHeading,
  compareStudies,
  noChoices,
  PAGE_CRITERIA,
  type PageReading,
  readStudyPage,
  StudyBook,
  scoreAsPage,
  termExamples,
} from './index.ts';

const bases = new WordBases(new Vocabulary());
const QUERY = 'waterproof panniers';
const page = (name: string, markdown: string, kind = 'blog', known = bases): PageReading =>
  readStudyPage(
    {
      address: `https://${name}.example/`,
      publisher: name,
      kind,
      rank: 1,
      document: readMarkdown(markdown),
    },
    QUERY,
    known,
    defaultProfile,
  );

const TEXTS: [name: string, markdown: string][] = [
  [
    'one',
    `## How to mend a hole\n\nA waterproof pannier with a hole is patched from inside. Glue the patch, wait, and press it on the cloth.\n\n## Which hooks fit\n\nPannier hooks clamp the tube of the rack. Measure the rack first.`,
  ],
  [
    'two',
    `## Mending holes\n\nPatch a hole in waterproof panniers with glue and cloth. Press the patch and wait overnight.\n\n## Washing\n\nSalt cuts the seams; rinse with fresh water after each ride along the sea.`,
  ],
  [
    'three',
    `## Hooks that fit the rack\n\nHooks hold the pannier to the rack tube. Old pannier hooks rattle on a thin rack.\n\n## Mend a hole\n\nGlue a patch over the hole, press the cloth, wait. Panniers stay waterproof.`,
  ],
  [
    'four',
    `## Prices\n\nThree shops sell waterproof panniers. Each pannier costs the same as a good pair of shoes.`,
  ],
];
const PAGES = TEXTS.map(([name, markdown]) => page(name, markdown));
const asked: Asked[] = [
  { text: 'how do you mend a hole in a pannier', place: 'suggestion', volume: 50 },
  { text: 'Can you carry panniers as a rucksack?', place: 'forum', volume: null },
];
const around = { query: QUERY, asked, phrases: [{ phrase: 'panniers with reflectors', volume: 90 }] };
const book = new StudyBook(PAGES, around, bases);
const all = book.study(new Set());

describe('what was read before a study', () => {
  it.each([
    [
      'its own words in another order',
      TEXTS.map(([, markdown]) => markdown.split(/\s+/).reverse().join(' ')),
    ],
    [
      'forms of its words',
      ['Hooking, patches, glued pannier mend mended rackings wash washes salted hole holed.'],
    ],
    ['words of every page turned round', [...TEXTS].reverse().map(([, markdown]) => markdown)],
  ])('changes nothing of it: %s', (_, before) => {
    const known = new WordBases(new Vocabulary());
    for (const text of before) for (const id of tokenize(text, known.vocabulary).ids) known.stem(id);
    const pages = TEXTS.map(([name, markdown]) => page(name, markdown, 'blog', known));
    const again = new StudyBook(pages, around, known).study(new Set());
    expect(again.terms).toEqual(all.terms);
    expect(again.topics).toEqual(all.topics);
    expect(again.questions).toEqual(all.questions);
  });
});
const FOUR = new Set(['https://four.example/']);

describe('a page of a study', () => {
  it('is counted by its own article: words, headings, links, lists, and what it scores', () => {
    const { figures, sections } = page(
      'x',
      '# Panniers\n\nIntro to [bags](https://y.example/).\n\n## Waterproof panniers\n\n- One pannier\n- Two panniers\n\nA [page](/inside).',
    );
    expect(figures).toMatchObject({
      words: 11,
      headings: 1,
      links: 2,
      linksOut: 1,
      lists: 1,
      tables: 0,
      images: 0,
    });
    expect(sections.map(({ heading, words }) => [heading, words])).toEqual([
      ['', 3],
      ['Waterproof panniers', 6],
    ]);
    expect(figures.score).toBeGreaterThan(0);
    expect(figures.score).toBeLessThanOrEqual(100);
  });
  it('is judged by criteria that ask for no site, no study and no brief, as the draft beside it is', () => {
    expect(PAGE_CRITERIA).toContain('heading-keyword');
    for (const id of ['keyword-free', 'staple-terms', 'body-length', 'supporting-keywords'] as const)
      expect(PAGE_CRITERIA).not.toContain(id);
    expect(
      scoreAsPage([
        { id: 'heading-keyword', points: 3, available: 6 },
        { id: 'staple-terms', points: 0, available: 90 },
      ]),
    ).toBe(50);
    expect(scoreAsPage([])).toBe(0);
  });
});

describe('bands', () => {
  it('are the quartiles, the median and the best', () => {
    expect(bandOf([5, 1, 3, 2, 4])).toEqual({ lower: 2, median: 3, upper: 4, best: 5 });
    expect(bandOf([7])).toEqual({ lower: 7, median: 7, upper: 7, best: 7 });
    expect(bandOf([])).toBeNull();
  });
  it('are those of the pages taken in', () => {
    // The fourth page has one heading and hardly speaks of the subject: it pulls the band down less than a quarter.
    expect(all.bands.headings).toMatchObject({ median: 2, upper: 2, best: 2 });
    expect(all.bands.headings!.lower).toBeGreaterThan(1.75);
    expect(all.bands.headings!.lower).toBeLessThan(2);
    expect(book.study(FOUR).bands.headings).toMatchObject({ lower: 2, median: 2 });
  });
});

describe('terms', () => {
  const term = (form: string) => all.terms.find((each) => each.form === form);
  it('are what many pages use and general English seldom does, as it is mostly written', () => {
    expect(all.terms.slice(0, 6).map(({ form }) => form)).toContain('waterproof panniers');
    expect(term('waterproof panniers')).toMatchObject({ group: 'staple', chosen: false });
    expect(term('patch')).toMatchObject({ group: 'staple' });
    for (const form of ['the', 'three', 'wait overnight']) expect(term(form)).toBeUndefined();
  });
  it('name the pages that use them, and how often in 1,000 words', () => {
    const hooks = all.terms.find(({ key }) => key === 'hook')!;
    expect(hooks.pages.map(({ address }) => address)).toEqual([
      'https://one.example/',
      'https://three.example/',
    ]);
    expect(hooks.heading).toBe(true);
    expect(hooks.band!.lower).toBeGreaterThan(0);
    expect(hooks.band!.upper).toBeGreaterThanOrEqual(hooks.band!.lower);
  });
  it('count spellings of both sides of an ocean as one', () => {
    const pair = [page('gb', 'A tyre wears out. Tyres squeal.'), page('us', 'Look at each tire.')];
    const forms = new StudyBook(pair, { query: 'x', asked: [], phrases: [] }, bases).study(new Set()).terms;
    expect(forms.find(({ key }) => key === 'tyre')?.pages.map(({ uses }) => uses)).toEqual([2, 1]);
  });
  it('follow the writer: pinned and added ones come first, dropped ones are gone', () => {
    const { terms } = book.study(new Set(), {
      pinned: ['seam'],
      dropped: ['patch'],
      added: [{ key: bases.keyOf('The fresh water'), form: 'fresh water' }],
    });
    expect(terms.slice(0, 2).map(({ form, chosen, pages }) => [form, chosen, pages.length])).toEqual([
      ['seam', true, 1],
      ['fresh water', true, 1],
    ]);
    expect(terms.some(({ key }) => key === 'patch')).toBe(false);
  });
  it('are shown in sentences, from as many pages as possible', () => {
    const examples = termExamples(PAGES, 'patch', bases);
    expect(examples.map(({ publisher }) => publisher)).toEqual(['one', 'two', 'three', 'one', 'two']);
    for (const { text, start, end } of examples)
      expect(text.slice(start, end).toLowerCase()).toMatch(/^patch/);
  });
});

describe('topics', () => {
  it('group sections that say the same under other headings; what one page alone says is none', () => {
    expect(all.topics.map(({ sections }) => sections.map(({ heading }) => heading).sort())).toEqual([
      ['How to mend a hole', 'Mend a hole', 'Mending holes'],
      ['Hooks that fit the rack', 'Which hooks fit'],
    ]);
    expect(all.topics.map(({ pages }) => pages.length)).toEqual([3, 2]);
    // The fourth page hardly speaks of the subject: what the others have is most of what counts.
    expect(all.topics[0].share).toBeGreaterThan(0.75);
    expect(['How to mend a hole', 'Mend a hole', 'Mending holes']).toContain(all.topics[0].name);
    const weight = all.topics[0].stems.reduce((sum, [, part]) => sum + part, 0);
    expect(weight).toBeCloseTo(1, 9);
  });
  it('go by headings without their numbers', () => {
    expect(bareHeading('Step 3: Tyres')).toBe('Tyres');
    expect(bareHeading('3. Tyres')).toBe('Tyres');
    expect(bareHeading('24 hours')).toBe('hours');
  });
});

describe('questions', () => {
  it('are grouped when they ask the same, from sources and from headings', () => {
    const ask = page(
      'ask',
      '## What size should panniers have?\n\nTwenty litres will do for a tour with a tent and a stove.',
    );
    const more: Asked[] = [
      { text: 'which size of panniers', place: 'related', volume: 20 },
      { text: 'can panniers have a size', place: 'forum', volume: null },
    ];
    const { questions } = new StudyBook([...PAGES, ask], { ...around, asked: more }, bases).study(new Set());
    const size = questions.find(({ text }) => text === 'which size of panniers')!;
    expect(size.wordings.map(({ place }) => place)).toEqual(['related', 'forum', 'page']);
    expect(size.volume).toBe(20);
  });
  it('are answered by pages of which one section holds their words', () => {
    const mend = all.questions.find(({ text }) => text.startsWith('how do you mend'))!;
    expect(mend.pages).toEqual(['https://one.example/', 'https://two.example/', 'https://three.example/']);
    expect(mend.share).toBe(0.75);
  });
});

describe('what nobody says', () => {
  it('is asked or searched for, and said by few or none of the pages', () => {
    expect(all.unsaid.map(({ text, kind, pages }) => [text, kind, pages.length])).toEqual([
      ['panniers with reflectors', 'phrase', 0],
      ['Can you carry panniers as a rucksack?', 'question', 0],
    ]);
  });
});

describe('statements worth citing', () => {
  const { statements } = new StudyBook(
    [
      page(
        'data',
        `## Leaks\n\nAccording to the Tidewrack ferry log, 14 of 23 bags leaked at the corner last year. We tested 14 pairs for 640 miles. Bags leak. [A survey](https://log.example/) found that 7 out of 10 riders never roll the top. Is it 5 kg? Rated 4.8 out of 5 from 412 reviews.`,
      ),
    ],
    around,
    bases,
  ).study(new Set());
  it('are sentences with a number, those that ask for a source and name one first', () => {
    expect(statements.map(({ text }) => text)).toEqual([
      'A survey found that 7 out of 10 riders never roll the top.',
      'According to the Tidewrack ferry log, 14 of 23 bags leaked at the corner last year.',
      'We tested 14 pairs for 640 miles.',
    ]);
  });
  it('carry the page, what they stand under, and the source that the page names', () => {
    expect(statements[0]).toMatchObject({ about: 'Leaks', publisher: 'data', link: 'https://log.example/' });
    expect(statements[1]).toMatchObject({ source: 'the Tidewrack ferry log', link: '', own: false });
    expect(statements[2]).toMatchObject({ own: true });
  });
});

describe('pages that may be no help', () => {
  const prose = (subject: string) =>
    `## ${subject}\n\n${Array.from({ length: 30 }, (_, at) => `Waterproof panniers keep ${subject} dry on ride ${at + 1}, and the rack holds them.`).join(' ')}`;
  const readings = [
    page('a', prose('clothes')),
    page('b', prose('books')),
    page('c', prose('food')),
    page('d', prose('maps'), 'forum'),
    page('e', 'Waterproof panniers, short.'),
    page(
      'f',
      `# Sunglasses\n\n${Array.from({ length: 30 }, () => 'Sunglasses with polarised lenses suit skippers; lenses scratch, skippers squint.').join(' ')}`,
    ),
  ];
  const out = new Map(
    new StudyBook(readings, around, bases).leaveOut().map(({ address, reason }) => [address, reason]),
  );
  it('are suggested with the reason: a forum, hardly a text, another meaning', () => {
    expect([...out.keys()].map((address) => address[8])).toEqual(['d', 'e', 'f']);
    expect(out.get('https://d.example/')).toContain('forum');
    expect(out.get('https://e.example/')).toContain('Only 3 words');
    expect(out.get('https://f.example/')).toContain('sunglass');
  });
});

describe('a study', () => {
  it('is the same when a page is left out and taken back, whatever the order', () => {
    const again = new StudyBook(PAGES, around, bases);
    again.study(FOUR);
    again.study(new Set(['https://one.example/']));
    expect(again.study(new Set())).toEqual(all);
    expect(again.study(FOUR)).toEqual(book.study(FOUR));
    expect(book.study(FOUR)).not.toEqual(all);
  });
  it('of no pages is empty and breaks nothing', () => {
    const none = new StudyBook([], around, bases);
    const study = none.study(new Set());
    expect(study).toMatchObject({ taken: [], terms: [], topics: [], topTen: null });
    expect(study.bands.words).toBeNull();
    expect(none.facts(study)).toMatchObject({ terms: [], topics: [], words: null, score: null });
    expect(book.study(new Set(all.taken)).terms).toEqual([]);
  });
  it('tells what changed since an earlier one', () => {
    const change = compareStudies(book.study(FOUR), all);
    expect(change.pagesIn).toEqual(['https://four.example/']);
    expect(change.pagesOut).toEqual([]);
    expect(change.bands.map(({ figure }) => figure)).toContain('words');
    expect(compareStudies(all, all)).toEqual({
      pagesIn: [],
      pagesOut: [],
      termsIn: [],
      termsOut: [],
      termsMoved: [],
      bands: [],
    });
    expect(noChoices()).toEqual({ pinned: [], dropped: [], added: [] });
  });
});
