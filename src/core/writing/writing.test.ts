import { describe, expect, it } from 'vitest';
import type { StudyFacts } from '../criteria/index.ts';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import {
  BRIEF_PARTS,
  briefInstructions,
  briefMarkdown,
  briefOf,
  emptyBriefChoices,
  uneditedBlocks,
} from './index.ts';

const term = (form: string, group: 'staple' | 'supporting', heading = false) => ({
  key: form,
  form,
  group,
  heading,
  share: 0.6,
  lower: 2,
  upper: 5,
});
const study: StudyFacts = {
  keywordRateUpper: 1,
  words: { lower: 800, median: 1000, upper: 1200, best: 2000 },
  score: null,
  terms: [term('hooks', 'staple', true), term('liner', 'supporting')],
  topics: [
    { name: 'Which size?', share: 0.7, stems: [] },
    { name: 'Mending', share: 0.3, stems: [] },
  ],
};
const fields = {
  ...emptyFields(),
  title: 'Panniers that stay dry',
  keyword: 'waterproof panniers',
  supporting: ['roll top panniers'],
  audience: ['First-time riders'],
  goal: 'Lead to a booking',
  questions: ['How many litres?'],
  points: ['We mend them'],
};
const outline = [
  { id: 'a', level: 2, text: 'Which size', note: 'litres by kind of tour' },
  { id: 'b', level: 3, text: 'With a tent', note: '' },
];
const figure = {
  text: 'In 2024 we hung 6,212 bags, and 74 dripped.',
  about: 'The bucket',
  address: 'https://oxter.example/bags',
  publisher: 'Oxter',
  source: '',
  link: '',
  own: true,
  weight: 2,
};
const choices = {
  ...emptyBriefChoices(),
  figures: [figure],
  links: [{ address: '/rent', title: 'Rent a bike' }],
  avoid: 'No brand names.',
  notes: 'Photos follow on Friday.',
};
const brief = briefOf(fields, outline, study, choices, 700);

describe('a brief', () => {
  it('takes length from the wish, else from the band of the pages, else from the house', () => {
    expect(brief.length).toEqual({ from: 800, to: 1200 });
    expect(briefOf({ ...fields, targetWords: 1000 }, [], study, choices, 700).length).toEqual({
      from: 900,
      to: 1200,
    });
    expect(briefOf(fields, [], null, choices, 700).length).toEqual({ from: 630, to: 1120 });
  });
  it('names the common topics of the pages, or those that were decided', () => {
    expect(brief.topics).toEqual(['Which size?', 'Mending']);
    expect(briefOf(fields, [], study, { ...choices, topics: ['Only this'] }, 700).topics).toEqual([
      'Only this',
    ]);
  });
  it('says how often a term should stand in a text of its length', () => {
    expect(brief.terms).toEqual({
      staple: [{ form: 'hooks', from: 2, to: 5 }],
      supporting: [{ form: 'liner', from: 2, to: 5 }],
      heading: ['hooks'],
    });
  });

  it('is written to be read, part by part', () => {
    const text = briefMarkdown(brief);
    for (const said of [
      '# Brief: Panniers that stay dry',
      '**Primary keyword:** waterproof panniers',
      '800–1200 words.',
      '- H2 Which size: litres by kind of tour\n  - H3 With a tent',
      'hooks (2–5)',
      'In 2024 we hung 6,212 bags, and 74 dripped. (Oxter, https://oxter.example/bags, its own figure)',
      '- Rent a bike: </rent>',
      'Photos follow on Friday.',
    ])
      expect(text).toContain(said);
  });
  it('leaves out the parts that do not go in, and those with nothing to say', () => {
    const left = briefMarkdown({
      ...brief,
      parts: new Set(['target', 'figures', 'questions']),
      questions: [],
    });
    expect(left.match(/^## .*$/gm)).toEqual(['## Keywords', '## Figures with their sources']);
    expect(briefMarkdown({ ...brief, parts: new Set() })).toBe('# Brief: Panniers that stay dry\n\n\n');
  });
  it('keeps signs of Markdown in what was typed', () =>
    expect(
      readMarkdown(briefMarkdown({ ...brief, points: ['*not* a # heading [x](y)'] })).draft.blocks.map(
        ({ text }) => text,
      ),
    ).toContain('*not* a # heading [x](y)'));

  it('as instructions says targets, reader, headings, terms with ranges, figures with sources and what to avoid', () => {
    const text = briefInstructions(brief);
    for (const said of [
      'with the title "Panniers that stay dry"',
      'found for "waterproof panniers"',
      'The reader: First-time riders.',
      'Length: 800 to 1200 words.',
      '## Which size: litres by kind of tour\n  ### With a tent',
      '- hooks: 2 to 5 times',
      'as its own figure',
      'No brand names.',
      'as Markdown',
    ])
      expect(text).toContain(said);
    const bare = briefInstructions(
      briefOf(emptyFields(), [], null, { ...emptyBriefChoices(), left: [...BRIEF_PARTS] }, 700),
    );
    expect(bare.split('\n\n')).toHaveLength(2);
  });
});

describe('what came from elsewhere', () => {
  it('is told by paragraph until a word of it changes', () => {
    const origin = readMarkdown(
      '## Size\n\nTwo bags of twenty litres are enough.\n\nRoll them three times.\n\nYes.',
    ).draft;
    const draft = readMarkdown(
      '## Size\n\nTwo bags of  twenty litres are enough.\n\nRoll them four times.\n\nYes.\n\nOur own words about it.',
    ).draft;
    expect(
      uneditedBlocks(draft, [{ draft: origin, blocks: null }]).map(
        (id) => draft.blocks.find((block) => block.id === id)!.text,
      ),
    ).toEqual(['Two bags of twenty litres are enough.']);
    expect(uneditedBlocks(draft, [])).toEqual([]);
  });
  it('is told where it went, sentence by sentence, until one changes or it was read', () => {
    const origin = readMarkdown('Roll them three times. Hang them high. Dry them slowly in the shade.').draft;
    const draft = readMarkdown(
      'Roll them three times. Dry them slowly in the shade.\n\nHang them high up.',
    ).draft;
    const [taken, other] = draft.blocks.map(({ id }) => id);
    const origins = [{ draft: origin, blocks: [taken, other] }];
    expect(uneditedBlocks(draft, origins)).toEqual([taken]);
    expect(uneditedBlocks(draft, origins, new Set([taken]))).toEqual([]);
    // The writer's own paragraph may say the same.
    expect(uneditedBlocks(draft, [{ draft: origin, blocks: [other] }])).toEqual([]);
    const changed = readMarkdown('Roll them four times. Dry them slowly in the shade.').draft;
    expect(uneditedBlocks(changed, [{ draft: origin, blocks: changed.blocks.map(({ id }) => id) }])).toEqual(
      [],
    );
  });
});
