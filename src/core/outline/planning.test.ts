import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { countingIds, readMarkdown } from '../draft/index.ts';
import { HOSTILE_WORDS } from '../language/hostile-words.test-data.ts';
import { Vocabulary, WordBases } from '../language/index.ts';
import type { StudyQuestion, Topic, Unsaid } from '../study/index.ts';
import {
  addFaq,
  combine,
  FAQ_HEADING,
  finishedDraft,
  fittingShapes,
  isOrderedOtherwise,
  mergeGaps,
  type Outline,
  type OutlineItem,
  openQuestions,
  outlineChecks,
  outlineCoverage,
  outlineGaps,
  type ProposalInput,
  placeholderHeadings,
  planText,
  proposalKey,
  proposeOutlines,
  readPlan,
  reorderDraft,
  unwrittenHeadings,
  withPlannedHeadings,
  wordBudget,
} from './index.ts';

const vocabulary = new Vocabulary();
const bases = new WordBases(vocabulary);
let nextId = countingIds('n');
beforeEach(() => {
  nextId = countingIds('n');
});

const QUERY = 'waterproof panniers';
const plan = (...lines: string[]): OutlineItem[] =>
  lines.map((line, at) => {
    const [, marks, text, note] = /^(#+) ([^:]*)(?:: (.*))?$/.exec(line)!;
    return { id: `i${at}`, level: marks.length, text, note: note ?? '' };
  });
const shown = (outline: Outline) => outline.map(({ level, text }) => `${'#'.repeat(level)} ${text}`);
const topic = (name: string, share: number, position: number, words: number, ...stems: string[]): Topic => ({
  name,
  sections: [],
  pages: ['https://a.example/', 'https://b.example/'],
  share,
  position,
  words,
  stems: stems.map((stem): [string, number] => [stem, 1 / stems.length]),
});
const TOPICS = [
  topic('Which size?', 0.8, 0.2, 120, 'size', 'litr', 'pair', 'tent'),
  topic('Hooks and rail', 0.6, 0.5, 80, 'hook', 'rail', 'tube'),
  topic('How to mend a hole', 0.5, 0.8, 200, 'mend', 'hole', 'patch', 'glue'),
  topic('Washing', 0.2, 0.9, 40, 'wash', 'salt', 'brush'),
];
const question = (text: string, volume: number | null, share: number): StudyQuestion => ({
  text,
  volume,
  wordings: [],
  toThePoint: true,
  pages: share > 0 ? ['https://a.example/'] : [],
  share,
});
const ASKED = [
  question('how many litres do I need for a tent', 90, 0.4),
  question('how long do waterproof panniers last', 30, 0.1),
  question('can you patch a hole with tape', 20, 0),
];
const UNSAID: Unsaid[] = [
  { text: 'panniers as a rucksack', kind: 'phrase', volume: 20, demand: 'searched for', pages: [] },
];
const wanted = {
  query: QUERY,
  topics: TOPICS,
  must: [],
  questions: ['how long do waterproof panniers last'],
  terms: [
    { key: 'hook', form: 'hooks', group: 'staple' as const },
    { key: 'seam', form: 'seam', group: 'staple' as const },
    { key: 'liner', form: 'liner', group: 'supporting' as const },
  ],
  asked: ASKED,
};

describe('coverage while planning', () => {
  it('tells by stems which heading or note answers what', () => {
    const outline = plan(
      '## The right size',
      '## Hooks, rails and tubes: seams too',
      '### How long panniers last',
    );
    const { topics, questions, terms, share } = outlineCoverage(outline, wanted, bases);
    expect(topics).toEqual([
      { text: 'Which size?', by: 'i0' },
      { text: 'Hooks and rail', by: 'i1' },
      { text: 'How to mend a hole', by: null },
    ]);
    expect(questions).toEqual([{ text: 'how long do waterproof panniers last', by: 'i2' }]);
    expect(terms.map(({ by }) => by)).toEqual(['i1', 'i1']);
    // By how many pages have a topic; a chosen question as one that half of them have. Terms count nothing.
    expect(share).toBeCloseTo((0.8 + 0.6 + 0.5) / (0.8 + 0.6 + 0.5 + 0.5), 9);
  });
  it('gains nothing by a heading of words that say nothing of what is wanted', () => {
    const outline = plan('## The right size');
    const before = outlineCoverage(outline, wanted, bases).share;
    for (const nonsense of [
      'Purple umbrellas argue about marzipan',
      'How to use the best things first',
      'constructor toString __proto__',
    ])
      expect(outlineCoverage([...outline, ...plan(`## ${nonsense}`)], wanted, bases).share).toBe(before);
  });
  it('knows what is asked in other words', () => {
    for (const [heading, asked] of [
      ['Price', 'what do waterproof panniers cost'],
      ['Repairing holes', 'can you mend a hole'],
      ['Removing old glue', 'how do you delete glue'],
      ['Choosing a size', 'which size should I pick'],
    ]) {
      const outline = plan(`## ${heading}`);
      const { questions } = outlineCoverage(outline, { ...wanted, questions: [asked] }, bases);
      expect([asked, questions[0].by]).toEqual([asked, 'i0']);
    }
  });
  it('counts no words of where an item comes from', () => {
    const outline = plan('## Intro: From the study: 4 pages have it');
    outline[0].note = 'From the study: hooks, rail, tube';
    expect(outlineCoverage(outline, wanted, bases).share).toBe(0);
  });
  it('of an empty plan is nothing; where nothing is wanted there is no share', () => {
    expect(outlineCoverage([], wanted, bases).share).toBe(0);
    expect(outlineCoverage([], { ...wanted, topics: [], questions: [], terms: [] }, bases).share).toBeNull();
  });
});

describe('gaps', () => {
  it('come by share of pages, each with the best place', () => {
    const outline = plan('## Which size', '## Prices', '## Patches: which glue');
    expect(outlineGaps(outline, wanted, bases).map(({ text, place, below }) => [text, place, below])).toEqual(
      [
        // Two of its four stems stand there: it belongs below.
        ['Hooks and rail', 'after "Prices"', false],
        ['Washing', 'after "Patches"', false],
        ['how long do waterproof panniers last', 'after "Patches"', false],
      ],
    );
  });
  it('are merged at once, and merging twice adds nothing', () => {
    const outline = plan('## Which size', '## Prices');
    const gaps = outlineGaps(outline, wanted, bases);
    const merged = mergeGaps(outline, gaps, bases, nextId);
    expect(merged.length).toBe(outline.length + gaps.length);
    expect(mergeGaps(merged, gaps, bases, nextId)).toEqual(merged);
    expect(outlineGaps(merged, wanted, bases)).toEqual([]);
    expect(merged.find(({ text }) => text === 'Washing')!.note).toBe('From the study: 2 pages have it');
  });
});

describe('branches of several outlines', () => {
  it('come together without doubles; what lies below a double goes below the one that is there', () => {
    const outline = plan('## Mending a hole', '### With glue', `## ${FAQ_HEADING}`, '### How long?');
    const added = plan('## How to mend holes: an hour', '### With tape', '## Sizes');
    expect(shown(combine(outline, added, bases, nextId))).toEqual([
      '## Mending a hole',
      '### With glue',
      '### With tape',
      '## Sizes',
      `## ${FAQ_HEADING}`,
      '### How long?',
    ]);
    const twice = combine(combine(outline, added, bases, nextId), added, bases, nextId);
    expect(shown(twice)).toEqual(shown(combine(outline, added, bases, nextId)));
    expect(twice[0].note).toBe('an hour');
  });
});

describe('questions at the end', () => {
  it('are those that no heading asks, each with a slot for its answer; again adds nothing', () => {
    const outline = plan('## Which size', '### How many litres do I need for a tent?');
    const open = openQuestions(
      outline.map(({ text }) => text),
      ASKED,
      ['Is it heavy?'],
      bases,
    );
    expect(open).toEqual([
      'Is it heavy?',
      'how long do waterproof panniers last',
      'can you patch a hole with tape',
    ]);
    const ended = addFaq(outline, open, bases, nextId);
    expect(shown(ended).slice(2)).toEqual([
      `## ${FAQ_HEADING}`,
      '### Is it heavy?',
      '### How long do waterproof panniers last?',
      '### Can you patch a hole with tape?',
    ]);
    expect(ended.at(-1)!.note).toContain('Answer in two or three sentences.');
    expect(addFaq(ended, open, bases, nextId)).toBe(ended);
  });
});

describe('proposals', () => {
  const input: ProposalInput = {
    query: QUERY,
    intent: 'commercial',
    points: ['We mend panniers for free', 'Rent before you buy'],
    must: ['Which size?'],
    questions: ['how many litres do I need for a tent'],
    topics: TOPICS,
    asked: ASKED,
    unsaid: UNSAID,
  };
  const proposals = proposeOutlines(input, 3, new Set(), bases);
  it('differ in shape, those that fit the intent first', () => {
    expect(proposals.map(({ shape }) => shape)).toEqual(['comparison', 'list', 'questions']);
    expect(fittingShapes('how to mend panniers', 'informational')[0]).toBe('steps');
    expect(fittingShapes('bike tour packing list', 'informational')[0]).toBe('list');
  });
  it('keep every main point, in its own words, and say what each heading stands on', () => {
    for (const { items } of proposals) {
      for (const point of input.points) {
        const own = items.find(({ text }) => text.includes(point));
        expect(own?.grounds[0]).toMatchObject({ kind: 'point', text: point });
      }
      expect(items.some(({ grounds }) => grounds.some(({ text }) => text === 'Which size?'))).toBe(true);
      expect(items.some(({ grounds }) => grounds.some(({ kind }) => kind === 'unsaid'))).toBe(true);
    }
  });
  it('never repeat: another is always another, until none is left', () => {
    const known = new Set<string>();
    for (let round = 0; round < 60; round++) {
      const [next] = proposeOutlines(input, 1, known, bases);
      if (!next) break;
      const key = proposalKey(next.items);
      expect(known.has(key)).toBe(false);
      known.add(key);
    }
    expect(known.size).toBeGreaterThan(5);
    expect(proposeOutlines(input, 1, known, bases)).toEqual([]);
  });
  it('are the same for the same input, and none where there is nothing to build on', () => {
    expect(proposeOutlines(input, 3, new Set(), bases)).toEqual(proposals);
    expect(
      proposeOutlines(
        { ...input, points: [], questions: [], topics: [], asked: [], unsaid: [] },
        3,
        new Set(),
        bases,
      ),
    ).toEqual([]);
  });
  it('never skip a level and hold no heading twice', () => {
    for (const { items } of proposeOutlines(input, 20, new Set(), bases)) {
      for (const [at, { level }] of items.entries())
        expect(level).toBeLessThanOrEqual((items[at - 1]?.level ?? 1) + 1);
      expect(new Set(items.map(({ text }) => text)).size).toBe(items.length);
    }
  });
});

describe('a plan as text', () => {
  it('comes back as it was, with levels and notes', () => {
    const items = plan('## Which size: litres', '### With a tent').map(({ id: _id, ...item }) => item);
    items[1].note = 'one\ntwo';
    expect(readPlan(planText(items))).toEqual(items);
    expect(readPlan('no plan\n# title\n> note of nothing')).toEqual([]);
  });
});

describe('the word budget', () => {
  const outline = plan('## Which size', '## How to mend a hole', '## A word of our own');
  it('adds up to the whole and follows the weight of the topics', () => {
    for (const total of [500, 1000, 1230]) {
      const { intro, sections } = wordBudget(outline, total, { topics: TOPICS, query: QUERY }, bases);
      expect(intro + [...sections.values()].reduce((sum, words) => sum + words, 0)).toBe(
        Math.round(total / 10) * 10,
      );
      expect(sections.get('i1')).toBeGreaterThan(sections.get('i2')!);
    }
  });
  it('of no headings is the introduction', () =>
    expect(wordBudget([], 700, { topics: TOPICS, query: QUERY }, bases)).toEqual({
      intro: 700,
      sections: new Map(),
    }));
});

describe('checks while planning', () => {
  const check = (...lines: string[]) =>
    outlineChecks(plan(...lines), { keyword: QUERY, characters: 30 }, vocabulary).map(({ text }) => text);
  it.each<[string, string[], RegExp]>([
    ['a level skipped', ['## Waterproof panniers', '#### Deep'], /skips a level: H2 to H4/],
    ['a section with one child', ['## Waterproof panniers', '### Alone'], /one heading below it/],
    ['doubled headings', ['## Waterproof panniers', '## waterproof panniers'], /stands there twice/],
    [
      'a heading too long',
      ['## Waterproof panniers for every tour and weather'],
      /46 characters; 30 are enough/,
    ],
    ['the keyword in no heading', ['## Bags'], /No heading holds "waterproof panniers"/],
  ])('%s', (_, lines, said) => expect(check(...lines).join('\n')).toMatch(said));
  it('nothing where all is well; an inflected keyword is one', () =>
    expect(check('## A waterproof pannier', '### One', '### Two')).toEqual([]));
});

describe('headings that wait for their text', () => {
  const draft = readMarkdown(
    'Intro.\n\n## Size\n\n## Hooks\n\n### Rail\n\nText.\n\n## Prices\n\n## Last',
  ).draft;
  const id = (text: string) => draft.blocks.find((block) => block.text === text)!.id;
  const outline = ['Size', 'Hooks', 'Rail', 'Last'].map((text) => ({
    id: id(text),
    level: 2,
    text,
    note: '',
  }));
  it('are those of the outline below which nothing is written', () => {
    const waiting = placeholderHeadings(draft, outline);
    expect([...waiting].sort()).toEqual([id('Size'), id('Last')].sort());
    expect(finishedDraft(draft, outline).blocks.map(({ text }) => text)).toEqual([
      'Intro.',
      'Hooks',
      'Rail',
      'Text.',
      'Prices',
    ]);
    expect(finishedDraft(draft, [])).toBe(draft);
  });
  it('are written next, with those that are not in the draft at all', () => {
    const ferry = { id: 'ferry', level: 2, text: 'The ferry ', note: '' };
    const plan = [...outline, ferry, { ...ferry, id: 'empty', text: ' ' }];
    expect(unwrittenHeadings(draft, plan).map(({ text }) => text)).toEqual(['Size', 'Last', 'The ferry ']);
    // What was written under a heading of the same words is written.
    const written = readMarkdown('## The ferry\n\nIt waits for nobody.').draft;
    expect(unwrittenHeadings(written, [ferry])).toEqual([]);
  });
  it('may be any word', () => {
    for (const word of HOSTILE_WORDS) {
      const plan = [{ id: 'planned', level: 2, text: word, note: '' }];
      const coming = { ...draft, blocks: [{ ...draft.blocks[1], id: 'came', text: word }] };
      const wanted = word.trim() === '' ? 'came' : 'planned';
      expect(withPlannedHeadings(coming, { ...draft, blocks: [] }, plan).blocks[0].id).toBe(wanted);
    }
  });
  it('are known again in a text that comes, each once', () => {
    const text = readMarkdown('## Size\n\nBig.\n\n## Size\n\nAgain.\n\n## Hooks\n\nTwo.').draft;
    const before = text.blocks.map((block) => block.id);
    const after = withPlannedHeadings(text, draft, outline).blocks.map((block) => block.id);
    expect(after).toEqual([id('Size'), ...before.slice(1)]);
  });
});

describe('the draft in the order of its outline', () => {
  const draft = readMarkdown(
    'Intro.\n\n## A\n\nOne.\n\n### Own\n\nTwo.\n\n## B\n\nThree.\n\n## C\n\nFour.',
  ).draft;
  const item = (text: string) => ({
    id: draft.blocks.find((block) => block.text === text)!.id,
    level: 2,
    text,
    note: '',
  });
  it('moves sections with all that stands in them; what the outline does not know stays with the text before it', () => {
    const outline = [item('C'), item('A'), item('B')];
    expect(isOrderedOtherwise(draft, outline)).toBe(true);
    const moved = reorderDraft(draft, outline);
    expect(moved.blocks.map(({ text }) => text)).toEqual([
      'Intro.',
      'C',
      'Four.',
      'A',
      'One.',
      'Own',
      'Two.',
      'B',
      'Three.',
    ]);
    expect(isOrderedOtherwise(moved, outline)).toBe(false);
    expect(reorderDraft(moved, outline)).toBe(moved);
  });
  it('loses no word whatever the order, and doubles none', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(['A', 'B', 'C', 'Own'], { minLength: 0 }), (order) => {
        const moved = reorderDraft(draft, order.map(item));
        expect([...moved.blocks].map(({ id }) => id).sort()).toEqual(draft.blocks.map(({ id }) => id).sort());
      }),
    );
  });
});
