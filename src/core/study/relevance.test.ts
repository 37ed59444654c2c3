import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../criteria/index.ts';
import { readMarkdown } from '../draft/index.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import { bandOf, type PageReading, pageChange, readQuestionList, readStudyPage, StudyBook } from './index.ts';
import { isNamingForm, nameableValue } from './nameable.ts';
import { kindThreshold } from './relevance.ts';
import { withoutSharedBlocks } from './shared-blocks.ts';
import { topicName } from './topic-name.ts';

const QUERY = 'tide table';
const bases = new WordBases(new Vocabulary());
const page = (name: string, markdown: string, publisher = name): PageReading =>
  readStudyPage(
    {
      address: `https://${name}.example/`,
      publisher,
      kind: 'blog',
      rank: 1,
      document: readMarkdown(markdown),
    },
    QUERY,
    bases,
    defaultProfile,
  );
const long = (text: string) => Array.from({ length: 12 }, () => text).join('\n\n');
const TIDES = ['mill', 'quay', 'sluice', 'ferry', 'bridge', 'jetty'].map((place, at) =>
  page(
    place,
    `# Reading a tide table ${at}\n\n## High water\n\n${long(`A tide table gives high water and low water at the ${place}. The tide falls for hours by the ${place}, and the ebb uncovers the causeway.`)}`,
  ),
);
const STRANGER = page(
  'stranger',
  `# Setting a dinner table\n\n## Forks\n\n${long('Forks lie to the left of the plate, knives to the right. A tablecloth hides an old table, and candles flatter the guests.')}`,
);
const book = (readings: PageReading[]) =>
  new StudyBook(readings, { query: QUERY, asked: [], phrases: [] }, bases);

describe('how near a page is to the subject of its set', () => {
  it('is 1 for the nearest, and least for what only shares a word with the query', () => {
    const { relevances } = book([...TIDES, STRANGER]);
    const values = relevances.map(({ value }) => value);
    expect(Math.max(...values)).toBe(1);
    expect(values.indexOf(Math.min(...values))).toBe(6);
    for (const { value, names, likeness } of relevances)
      for (const part of [value, names, likeness]) {
        expect(part).toBeGreaterThanOrEqual(0);
        expect(part).toBeLessThanOrEqual(1);
      }
  });
  it('lets a page of another subject be left out, with what it speaks of, and none of a set of one kind', () => {
    const [out, ...others] = book([...TIDES, STRANGER]).leaveOut();
    expect(others).toEqual([]);
    expect(out.address).toBe('https://stranger.example/');
    expect(out.reason).toMatch(/forks|knives|plate|candles|dinner/);
    expect(book(TIDES).leaveOut()).toEqual([]);
  });
  it('is told of sets of one page and of hostile words, too', () => {
    expect(book([TIDES[0]]).relevances[0].value).toBe(1);
    const odd = page(
      'odd',
      `# constructor\n\n${long('toString constructor __proto__ hasOwnProperty valueOf of the table')}`,
    );
    for (const { value } of book([odd, ...TIDES]).relevances) expect(Number.isFinite(value)).toBe(true);
  });
  it('weighs what the pages share', () => {
    const study = book([...TIDES, STRANGER]).study(new Set());
    const term = study.terms.find(({ form }) => form === 'high water');
    // Six of seven pages, and the seventh hardly counts.
    expect(term?.pages).toHaveLength(6);
    expect(study.topics[0]).toMatchObject({ name: 'High water' });
    expect(study.topics[0].share).toBeGreaterThan(6 / 7);
  });
});

describe('the threshold between two kinds', () => {
  it('parts them, leaves one kind whole, and never cuts more than a third', () => {
    expect(kindThreshold([1, 0.9, 0.95, 0.92, 0.85, 0.1, 0.12])).toBeCloseTo(0.85, 9);
    expect(kindThreshold([1, 0.9, 0.95, 0.92, 0.85])).toBe(0);
    const many = [1, 0.9, 0.1, 0.1, 0.1, 0.1];
    expect(many.filter((value) => value < kindThreshold(many)).length).toBeLessThanOrEqual(2);
    expect(kindThreshold([])).toBe(0);
  });
});

describe('what several pages say in the same words', () => {
  it('is none of their own: a notice counts nowhere, what is said once stays', () => {
    const notice =
      'Permission is granted to copy, distribute and modify this page under the terms of its licence.';
    const readings = ['a', 'b', 'c', 'd'].map((name) =>
      page(
        name,
        `# Tide table\n\n## ${name} water\n\nThe harbour ${name} lies open to the east and west.\n\n${notice}`,
      ),
    );
    const stem = bases.stemsOf('permission')[0];
    const own = withoutSharedBlocks(readings, bases);
    expect(readings[0].sections.some(({ stems }) => stems.has(stem))).toBe(true);
    expect(own.some(({ sections }) => sections.some(({ stems }) => stems.has(stem)))).toBe(false);
    expect(own[0].stream.length).toBeLessThan(readings[0].stream.length);
    expect(withoutSharedBlocks(TIDES.slice(0, 2), bases)).toEqual(TIDES.slice(0, 2));
  });
});

describe('what may be a term', () => {
  const value = (key: string) => nameableValue(key, (word) => word === 'list');
  it.each(['character class', 'high water', 'depth of the harbour', 'packing list', 'sleeping bag', 'tide'])(
    '%s',
    (key) => expect(value(key)).toBeGreaterThan(0),
  );
  it.each([
    'example',
    'use',
    'quickly',
    'part of the tide',
    'package export the identifier',
    'twenty',
    "don't",
    'mdast-util',
    'esm.sh',
  ])('not %s', (key) => expect(value(key)).toBe(0));
  it('is told by its form as well: no path, no participle at its end', () => {
    expect(isNamingForm('etc/harbour', 'etc harbour')).toBe(false);
    expect(isNamingForm('branch named', 'branch name')).toBe(false);
    expect(isNamingForm('branch names', 'branch name')).toBe(true);
  });
});

describe('the name of a topic', () => {
  const name = (...headings: string[]) => topicName(headings, (heading) => new Set(bases.stemsOf(heading)));
  it('is the heading that holds what all share, as a sentence is written', () => {
    expect(
      name(
        'Using Character Classes',
        'CHARACTER CLASSES',
        'More on characters, strings, and character classes',
      ),
    ).toBe('Character classes');
    expect(name('Hooks', '5. Hooks and rail', 'Hooks')).toBe('Hooks');
  });
  it('is no page in its own voice where another is there', () =>
    expect(name('What we paid', 'Prices', 'Prices')).toBe('Prices'));
});

describe('a list of questions', () => {
  it('is read a line each, with the place where it says one', () => {
    expect(
      readQuestionList(
        '\uFEFF- How deep is it? | a customer\n\n2. When is low water?\tthe shop\nhow deep is it\n...\n',
      ),
    ).toEqual([
      { text: 'How deep is it?', place: 'own', volume: null, where: 'a customer' },
      { text: 'When is low water?', place: 'own', volume: null, where: 'the shop' },
    ]);
  });
});

describe('a page that is read again', () => {
  const document = (markdown: string) => readMarkdown(markdown);
  it('tells its words before and now, headings that came and went; nothing where its text is the same', () => {
    const before = document('# Tides\n\n## High water\n\nTwice a day.');
    expect(pageChange(before, document('# Tides\n\n## High water\n\nTwice a day.\n'))).toBeNull();
    expect(pageChange(before, document('# Tides\n\n## Low water\n\nTwice a day, too.'))).toEqual({
      wordsBefore: 6,
      wordsNow: 7,
      headingsIn: ['Low water'],
      headingsOut: ['High water'],
    });
  });
});

describe('a band', () => {
  it('of equal weights is that without weights; what weighs little moves it little', () => {
    const values = [3, 9, 1, 7, 5];
    expect(bandOf(values, [2, 2, 2, 2, 2])).toEqual(bandOf(values));
    expect(bandOf(values)).toEqual({ lower: 3, median: 5, upper: 7, best: 9 });
    const light = bandOf([100, 110, 120, 900], [1, 1, 1, 0.05])!;
    expect(light.median).toBeLessThan(bandOf([100, 110, 120, 900])!.median);
    expect(light.best).toBe(900);
    expect([bandOf([], []), bandOf([4], [0.2])]).toEqual([null, { lower: 4, median: 4, upper: 4, best: 4 }]);
  });
});

describe('whether a question belongs to a study', () => {
  const asked = (text: string) => ({ text, place: 'forum' as const, volume: null });
  const questions = (query: string, ...texts: string[]) =>
    new StudyBook(TIDES, { query, asked: texts.map(asked), phrases: [] }, bases)
      .study(new Set())
      .questions.map(({ text }) => text);
  it('is told by the query and by what the pages speak of; what names nothing is no question', () => {
    const kept = questions(
      QUERY,
      'how do i read a tide table',
      'when is the causeway dry',
      'what colour is a fire door',
      'why not',
      'what is this',
    );
    expect(kept).toEqual(expect.arrayContaining(['how do i read a tide table', 'when is the causeway dry']));
    expect(kept).toHaveLength(2);
  });
  it('is left open for a query of small words alone', () =>
    expect(questions('who is who', 'where does the ferry land')).toEqual(['where does the ferry land']));
  it('is never asked of what the writer brought', () => {
    const own = { text: 'what colour is a fire door', place: 'own' as const, volume: null };
    const book = new StudyBook(TIDES, { query: QUERY, asked: [own], phrases: [] }, bases);
    expect(book.study(new Set()).questions.map(({ text }) => text)).toEqual([own.text]);
  });
});
