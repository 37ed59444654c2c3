import { describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../draft/index.ts';
import { emptyHouse, freshStart, houseFields, leftOver } from './index.ts';

const draft = readMarkdown('## Weigh\n\nOn a scale.\n\n![A scale](media/scale.png)\n\nA last line.').draft;

describe('a new post of a house', () => {
  it('begins with its brief, and with its author where there is one', () => {
    const house = { ...emptyHouse(), goal: 'Lead to a booking', targetWords: 900, authors: ['Ines Tarn'] };
    expect(houseFields(house)).toMatchObject({
      goal: 'Lead to a booking',
      targetWords: 900,
      author: 'Ines Tarn',
      status: 'draft',
      title: '',
    });
    expect(houseFields({ ...house, authors: ['A', 'B'] }).author).toBe('');
  });
});

describe('a post begun from another', () => {
  const fields = {
    ...emptyFields(),
    title: 'Scales',
    metaTitle: 'Scales for bags',
    metaDescription: 'About scales.',
    slug: 'scales',
    canonical: 'https://saltmarsh.example/scales',
    excerpt: 'Short.',
    keyword: 'bag scale',
    supporting: ['luggage scale'],
    status: 'published' as const,
    date: '2026-01-01T00:00:00Z',
    updated: '2026-02-01T00:00:00Z',
    image: 'media/scale.png',
    imageAlt: 'A scale',
    questions: ['How heavy?'],
    author: 'Ines Tarn',
    category: 'Kit',
    goal: 'Help',
    targetWords: 800,
    unknown: { permalink: '/old/scales', weather: 'wet' },
  };
  const begun = freshStart({ fields, draft });
  it('has nothing that would publish the old one again', () => {
    const empty = emptyFields();
    for (const name of [
      'title',
      'metaTitle',
      'metaDescription',
      'slug',
      'canonical',
      'excerpt',
      'keyword',
      'supporting',
      'status',
      'date',
      'updated',
      'image',
      'imageAlt',
      'questions',
    ] as const)
      expect([name, begun.fields[name]]).toEqual([name, empty[name]]);
    expect(begun.fields.unknown).toEqual({ weather: 'wet' });
  });
  it('keeps text, brief and place', () => {
    expect(begun.draft).toBe(draft);
    expect(begun.fields).toMatchObject({
      author: 'Ines Tarn',
      category: 'Kit',
      goal: 'Help',
      targetWords: 800,
    });
  });
  it('knows what is left over: blocks that still stand as they were', () => {
    expect(leftOver(begun.draft, draft)).toEqual(draft.blocks.map(({ id }) => id));
    const changed = { ...draft, blocks: draft.blocks.with(1, { ...draft.blocks[1], text: 'On another.' }) };
    expect(leftOver(changed, draft)).toHaveLength(draft.blocks.length - 1);
    expect(leftOver(readMarkdown('New.').draft, { version: 1, blocks: [] })).toEqual([]);
  });
});
