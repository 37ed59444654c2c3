import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMarkdown } from '../draft/index.ts';
import {
  addItem,
  moveItem,
  nestItem,
  type Outline,
  outlineFromDraft,
  placeItem,
  removeItem,
  sendOutline,
} from './index.ts';

const plan = (...rows: string[]): Outline =>
  rows.map((row) => ({ id: row.slice(2), level: Number(row[0]), text: row.slice(2), note: '' }));
const rows = (outline: Outline) => outline.map((item) => `${item.level} ${item.text}`);
const trip = plan('2 Weigh', '3 Scale', '2 Clothes', '3 Ride', '4 Shorts', '2 Tools');

describe('ordering and nesting', () => {
  it('nests a branch under the item before', () =>
    expect(rows(nestItem(trip, 2, 1))).toEqual([
      '2 Weigh',
      '3 Scale',
      '3 Clothes',
      '4 Ride',
      '4 Shorts',
      '2 Tools',
    ]));
  it('lifts a branch', () =>
    expect(rows(nestItem(trip, 3, -1))).toEqual([
      '2 Weigh',
      '3 Scale',
      '2 Clothes',
      '2 Ride',
      '3 Shorts',
      '2 Tools',
    ]));
  it('leaves what cannot go deeper or higher', () =>
    expect([nestItem(trip, 0, 1), nestItem(trip, 0, -1)]).toEqual([trip, trip]));
  it('places a branch where another stands, deeper or higher by how far it was carried', () => {
    expect(rows(placeItem(trip, 'Tools', 'Weigh', 0))[0]).toBe('2 Tools');
    expect(rows(placeItem(trip, 'Clothes', 'Scale', 1))).toEqual([
      '2 Weigh',
      '3 Clothes',
      '4 Ride',
      '4 Shorts',
      '3 Scale',
      '2 Tools',
    ]);
    expect(rows(placeItem(trip, 'Weigh', 'Tools', 5)).slice(-3)).toEqual(['2 Tools', '3 Weigh', '4 Scale']);
  });
  it('loses and doubles no heading, wherever one is placed, and skips no level', () =>
    fc.assert(
      fc.property(
        fc.nat(trip.length - 1),
        fc.nat(trip.length - 1),
        fc.integer({ min: -3, max: 3 }),
        (from, to, by) => {
          const placed = placeItem(trip, trip[from].id, trip[to].id, by);
          expect(placed.map(({ id }) => id).sort()).toEqual(trip.map(({ id }) => id).sort());
          placed.forEach(({ level }, at) => {
            expect(level).toBeLessThanOrEqual(at === 0 ? 2 : placed[at - 1].level + 1);
          });
        },
      ),
    ));
  it('moves a branch past its neighbour', () => {
    expect(rows(moveItem(trip, 2, -1))).toEqual([
      '2 Clothes',
      '3 Ride',
      '4 Shorts',
      '2 Weigh',
      '3 Scale',
      '2 Tools',
    ]);
    expect(rows(moveItem(trip, 0, 1))).toEqual([
      '2 Clothes',
      '3 Ride',
      '4 Shorts',
      '2 Weigh',
      '3 Scale',
      '2 Tools',
    ]);
  });
  it('adds behind a branch and takes out', () => {
    expect(rows(addItem(trip, 2, { id: 'x', text: 'New', note: '' }))[5]).toBe('2 New');
    expect(rows(removeItem(trip, 3))).toEqual(['2 Weigh', '3 Scale', '2 Clothes', '3 Shorts', '2 Tools']);
  });
  it('never loses an item or skips a level', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(5), fc.constantFrom('in', 'out', 'up', 'down'))), (steps) => {
        let outline: Outline = trip;
        for (const [at, step] of steps) {
          outline =
            step === 'in'
              ? nestItem(outline, at, 1)
              : step === 'out'
                ? nestItem(outline, at, -1)
                : moveItem(outline, at, step === 'up' ? -1 : 1);
          expect(outline.map((item) => item.id).sort()).toEqual(trip.map((item) => item.id).sort());
          for (const [index, item] of outline.entries()) {
            expect(item.level).toBeLessThanOrEqual(index === 0 ? 2 : outline[index - 1].level + 1);
          }
        }
      }),
    );
  });
});

describe('into the draft and back', () => {
  const { draft } = readMarkdown('Intro.\n\n## Weigh\n\nOn a scale.\n\n## Tools\n\nA pump.');
  const read = outlineFromDraft(draft, []);
  it('reads headings', () => expect(rows(read)).toEqual(['2 Weigh', '2 Tools']));
  it('adds new headings after the section before them and touches no text', () => {
    const outline = addItem(read, 0, { id: 'new', text: 'Clothes', note: 'two sets' });
    const sent = sendOutline(draft, outline);
    expect(sent).toMatchObject({ added: 1, renamed: 0 });
    expect(sent.draft.blocks.map((block) => block.text)).toEqual([
      'Intro.',
      'Weigh',
      'On a scale.',
      'Clothes',
      'Tools',
      'A pump.',
    ]);
    expect(sendOutline(sent.draft, outline)).toMatchObject({ added: 0, renamed: 0 });
  });
  it('carries changed words and levels over', () => {
    const sent = sendOutline(
      draft,
      read.map((item, at) => (at === 1 ? { ...item, text: 'Tools to carry', level: 3 } : item)),
    );
    expect(sent.renamed).toBe(1);
    expect(sent.draft.blocks[3]).toMatchObject({ text: 'Tools to carry', level: 3 });
  });
  it('begins after the introduction in a draft without headings', () => {
    const sent = sendOutline(readMarkdown('Intro.').draft, plan('2 A', '3 B'));
    expect(sent.draft.blocks.map((block) => block.text)).toEqual(['Intro.', 'A', 'B']);
  });
  it('keeps notes and planned headings when read back', () => {
    const planned = addItem(
      read.map((item) => ({ ...item, note: `about ${item.text}` })),
      0,
      { id: 'p', text: 'Planned', note: 'later' },
    );
    expect(outlineFromDraft(draft, planned).map((item) => [item.text, item.note])).toEqual([
      ['Weigh', 'about Weigh'],
      ['Planned', 'later'],
      ['Tools', 'about Tools'],
    ]);
  });
});
