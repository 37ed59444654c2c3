import { describe, expect, it } from 'vitest';
import { defaultProfile } from '../../criteria/index.ts';
import { emptyFields, readMarkdown } from '../../draft/index.ts';
import { Vocabulary, WordBases } from '../../language/index.ts';
import { outlineFromDraft } from '../../outline/index.ts';
import { readStudyPage, StudyBook } from '../../study/index.ts';
import { bestSaid, wantedOf } from './best-said.ts';
import {
  centralSentences,
  knownOf,
  knownPlace,
  knownSections,
  saysSame,
  standsAlone,
  subjectOfPhrase,
  subjectOfPlace,
} from './index.ts';

describe('a sentence that stands alone', () => {
  it.each([
    'The second column tells how high the water rises.',
    'Two panniers of twenty litres are enough for a weekend.',
  ])('is %j', (text) => expect(standsAlone(text)).toBe(true));
  it.each([
    ['one that leans on the one before', 'It is therefore better to turn back early in the day.'],
    ['a question', 'How long is the causeway dry on an ordinary day?'],
    ['a fragment', 'Bring a lamp.'],
    ['one that points elsewhere', 'The picture above shows the second post in the mud.'],
    ['half of a quotation', '"I tell them: put back one thing from each pile.'],
    ['code', 'Run {a|b} = $c; and then look at the whole of it.'],
  ])('is not %s', (_, text) => expect(standsAlone(text)).toBe(false));
});

describe('central sentences', () => {
  const said = (owner: string, ...texts: string[]) => texts.map((text) => ({ owner, text }));
  const candidates = [
    ...said(
      'a',
      'The tide table tells at what hour the water is low.',
      'Our office has a blue door and a large brown dog.',
    ),
    ...said(
      'b',
      'At low water the tide table shows the smallest height.',
      'The tide table tells at what hour the water is low.',
    ),
    ...said('c', 'A spring tide rises higher than the tide table of an ordinary week shows.'),
  ];
  it('agree with others and speak of the subject; none says the same twice', () => {
    const found = centralSentences(candidates, subjectOfPhrase('tide table'), 5).map(({ text }) => text);
    expect(found).not.toContain('Our office has a blue door and a large brown dog.');
    expect(new Set(found).size).toBe(found.length);
    expect(found.length).toBeGreaterThan(1);
  });
  it('are at most two of one owner, in whatever order they come', () => {
    const found = centralSentences(candidates, new Map(), 9);
    for (const owner of 'abc')
      expect(found.filter((one) => one.owner === owner).length).toBeLessThanOrEqual(2);
    expect(centralSentences([...candidates].reverse(), new Map(), 9).map(({ text }) => text)).toEqual(
      found.map(({ text }) => text),
    );
    expect(centralSentences([], new Map(), 3)).toEqual([]);
  });
});

describe('the sentence that says what is asked', () => {
  const bases = new WordBases(new Vocabulary());
  const page = [
    { heading: 'Our dog', sentences: ['The dog sleeps under the bench in the workshop.'] },
    {
      heading: 'Weight',
      sentences: [
        'Our volunteers weighed the panniers of many riders.',
        'The median was 14 kg with a tent and less without one.',
        'Heavy panniers make a bike slow on every hill.',
      ],
    },
  ];
  const asked = (question: string) =>
    bestSaid(wantedOf(question, 'bike tour', bases), page, 2, bases).map(({ text }) => text);
  it('has a figure where an amount is asked for, with the next sentence where that holds it', () =>
    expect(asked('How heavy should panniers be?')[0]).toMatch(/14 kg/));
  it('is none where nobody says it', () => expect(asked('Where can I swim?')).toEqual([]));
  it('is told from one that says the same', () => {
    expect(
      saysSame(
        'The tide table tells the hour of low water.',
        'Low water: its hour stands in the tide table.',
      ),
    ).toBe(true);
    expect(saysSame('The tide table tells the hour.', 'The dog sleeps under the bench.')).toBe(false);
  });
});

describe('what is known of a post', () => {
  const { draft } = readMarkdown(
    'A tide table is kind.\n\n## The columns\n\nThe first tells when.\n\n> Somebody said so.\n\n- One\n- Two\n\n## The end\n\nTurn back early. Bring a lamp.',
  );
  it('is its sections with their words', () =>
    expect(knownSections(draft).map(({ heading, paragraphs }) => [heading, paragraphs.length])).toEqual([
      ['', 1],
      ['The columns', 4],
      ['The end', 1],
    ]));
  it('is the place of the caret: heading, note, before and after', () => {
    const outline = outlineFromDraft(draft, []).map((item) =>
      item.text === 'The columns' ? { ...item, note: 'Two of them.' } : item,
    );
    const inside = draft.blocks.find(({ text }) => text === 'The first tells when.')!.id;
    expect(knownPlace(draft, outline, inside)).toEqual({
      heading: 'The columns',
      note: 'Two of them.',
      before: 'A tide table is kind.\n## The columns\nThe first tells when.',
      after: 'Somebody said so.\nOne\nTwo\n## The end\nTurn back early. Bring a lamp.',
    });
    expect(knownPlace(draft, outline, null).heading).toBe('The end');
    expect(knownPlace({ version: 1, blocks: [] }, [], 'gone')).toEqual({
      heading: '',
      note: '',
      before: '',
      after: '',
    });
    expect(subjectOfPlace({ heading: '', before: 'One. Two more. Three at last.' })).toBe(
      'Two more. Three at last.',
    );
  });
  it('is gathered with its study: topics, questions and what is said of the thing that is asked for', () => {
    const bases = new WordBases(new Vocabulary());
    const pages = [
      [
        'north',
        '## Reading the columns\n\nThe left column of tide tables gives the hour of low water. The right column gives the height in metres.\n\n## When to turn back\n\nTurn back when the water reaches the second post on the causeway.',
      ],
      [
        'south',
        '## The columns\n\nTide tables have two columns, one for the hour and one for the height. Riders read the column with the hour first.\n\n## Turning back\n\nA rider turns back an hour before the table tells low water is over.',
      ],
    ].map(([name, md], at) => {
      const read = readMarkdown(`---\ntitle: Tide tables by ${name}\n---\n\n${md}`);
      return readStudyPage(
        {
          address: `https://${name}.example/`,
          publisher: name,
          kind: '',
          rank: at + 1,
          document: { fields: read.fields, draft: read.draft },
        },
        'tide tables',
        bases,
        defaultProfile,
      );
    });
    const book = new StudyBook(
      pages,
      {
        query: 'tide tables',
        asked: [{ text: 'When should I turn back?', place: 'own', volume: null }],
        phrases: [],
      },
      bases,
    );
    const known = knownOf(
      {
        site: { name: 'Saltmarsh', language: 'en' },
        house: { offer: 'Bikes', tone: 'Calm' },
        voice: null,
        document: { fields: { ...emptyFields(), keyword: 'tide tables' }, draft },
        outline: [],
        brief: { avoid: '', notes: '', figures: [] },
        study: { study: book.study(new Set()), readings: book.readings, query: 'tide tables', facts: null },
        posts: [
          {
            title: 'Tide tables on tour',
            address: '/t',
            draft: readMarkdown('On tour we turn back early whenever tide tables say so.').draft,
          },
        ],
        bodyWords: 800,
        blockId: null,
        selection: '',
        picture: null,
        about: ['When to turn back', 'When to turn back', ' '],
        aboutPlace: true,
      },
      bases,
    );
    expect(known.brief.tone).toBe('Calm');
    expect(known.study!.pages).toBe(2);
    // The heading at the caret is looked for too.
    expect(known.about.map(({ text }) => text)).toEqual(['When to turn back', 'The end']);
    expect(known.about[0].said.map(({ who }) => who).sort()).toContain('north');
    for (const { text, address } of known.about[0].said)
      expect(
        pages
          .find(({ page }) => page.address === address)!
          .page.document.draft.blocks.some((block) => block.text.includes(text.slice(0, 30))),
      ).toBe(true);
    expect(known.study!.questions[0].said.length).toBeGreaterThan(0);
  });
});
