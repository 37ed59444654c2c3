import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  countingIds,
  type Draft,
  emptyFields,
  isNoteRef,
  linksOf,
  noteOf,
  readMarkdown,
} from '../../draft/index.ts';
import { joinAdvice } from './join-advice.ts';
import { joinedPost } from './join-posts.ts';
import { postSections } from './post-sections.ts';

const draft = (md: string): Draft => readMarkdown(md).draft;
const names = (md: string) => postSections(draft(md)).map(({ heading }) => heading);
const side = (md: string, path: string | null, fields = {}) => ({
  fields: { ...emptyFields(), ...fields },
  draft: draft(md),
  path,
});

const FERRIES = `
Ferries take you to the islands.

## When they run

The boat over the sound leaves at eight in the morning and comes back after the last tourist, in winter on four days of the week only.

## Bicycles on board

A bicycle costs half of what its rider pays on every boat of the line. Lash it to the rail by the frame, never by the wheel, and take your bags up with you.

## Conclusion

Go early and go often, and ask the skipper about the weather before you leave the quay.
`;
const ISLANDS = `
The islands are worth a week.

## Taking your bicycle on the ferry

A bicycle costs half of what its rider pays on every boat of the line. Lash it to the rail by the frame, never by the wheel, and take your bags up with you.

## Where to sleep

Two farms let you pitch a tent behind the barn, and the old school has beds for a dozen guests who bring a sleeping bag of their own and leave the kitchen clean.

## Summing up

Bring a tent, bring a friend, stay as long as the wind lets you and then a day longer than that.
`;

describe('the sections of a post', () => {
  it('begin with its headings, what stands before them is its beginning', () => {
    expect(names(FERRIES)).toEqual(['', 'When they run', 'Bicycles on board', 'Conclusion']);
    expect(names('## Routes\n\nText.\n\n### By train\n\nText.\n\n## Ferries\n\nText.')).toEqual([
      'Routes',
      'Ferries',
    ]);
  });
  it('are parted by the level below a title that the text has', () => {
    expect(names('# Islands\n\nText.\n\n## A\n\nText.\n\n## B\n\nText.')).toEqual(['', 'A', 'B']);
    expect(names('## Islands\n\nText.\n\n### A\n\nText.\n\n### B\n\nText.')).toEqual(['', 'A', 'B']);
  });
  it('are one without headings, none without a text', () => {
    expect(names('Only text.\n\nAnd more.')).toEqual(['']);
    expect(postSections({ version: 1, blocks: [] })).toEqual([]);
  });
  it('leave footnotes out, and headings within lists and quotes are no parts', () => {
    expect(names('One.[^1]\n\n## A\n\nText.\n\n## B\n\n> ## Quoted\n\n[^1]: Note.')).toEqual(['', 'A', 'B']);
  });
  it('hold every block of any text once', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('# T', '## A', '### B', 'Text', '- item', '> quote')), (lines) => {
        const all = draft(lines.join('\n\n'));
        expect(postSections(all).flatMap(({ blocks }) => blocks)).toEqual(all.blocks);
      }),
    );
  });
});

describe('what is worth taking over', () => {
  const advice = joinAdvice(postSections(draft(FERRIES)), postSections(draft(ISLANDS)));
  it('is what the other post does not say yet, without beginning and closing', () => {
    expect(advice.sections.map(({ take }) => take)).toEqual([false, false, true, false]);
    expect(advice.sections[1].said).toBeGreaterThan(0.8);
    expect(advice.sections[2].said).toBe(0);
  });
  it('stands by what it is most like, and before the closing where there is nothing like it', () => {
    const keeper = postSections(draft(FERRIES));
    expect(advice.sections[1].nearest).toBe(keeper[2].id);
    expect(advice.order.map(({ from }) => from)).toEqual(['keeper', 'keeper', 'keeper', 'other', 'keeper']);
  });
  it('bears words that are names of the language that it is written in', () => {
    const hostile = postSections(
      draft('## constructor\n\n__proto__ toString valueOf\n\n## hasOwnProperty\n\nNaN'),
    );
    for (const { like, said } of joinAdvice(hostile, hostile).sections) {
      expect(like).toBeGreaterThanOrEqual(0);
      expect(like).toBeLessThanOrEqual(1.0001);
      expect(said).toBeLessThanOrEqual(1);
    }
    expect(joinAdvice([], hostile).sections.every(({ nearest }) => nearest === null)).toBe(true);
  });
});

describe('two posts as one', () => {
  const keeper = side(
    'Start, and [more](/islands).\n\n## Boats\n\nSee [islands](https://sound.example/islands#sleep).\n\n## Fares\n\nHalf price.[^f]\n\n[^f]: As of spring.',
    '/ferries',
    { keyword: 'ferry times', supporting: ['boats'], tags: ['Sea'] },
  );
  const other = side(
    'Other start.\n\n## Sleep\n\nA barn[^b], by [ferry](ferries), to the [quay](../quay), [home](/ferries#boats).\n\n- one\n- two\n\n## Eat\n\nFish.[^e]\n\n[^b]: Ask first.\n[^e]: On Fridays.',
    '/islands',
    {
      keyword: 'Ferry Times ',
      supporting: ['island stay', 'BOATS'],
      tags: ['sea', 'Camping'],
      title: 'Islands',
    },
  );
  const own = postSections(keeper.draft).map(({ id }) => ({ from: 'keeper' as const, id }));
  const [, sleep] = postSections(other.draft).map(({ id }) => ({ from: 'other' as const, id }));
  const joined = joinedPost(
    keeper,
    other,
    [own[0], sleep, own[1], own[2]],
    'https://sound.example',
    countingIds('n'),
  );
  const { blocks } = joined.draft;
  const hrefs = blocks.flatMap((block) => linksOf(block).map(({ href }) => href));

  it('have the sections that were picked in their order, and every block its own id', () => {
    expect(blocks.filter(({ kind }) => kind === 'heading').map(({ text }) => text)).toEqual([
      'Sleep',
      'Boats',
      'Fares',
    ]);
    expect(new Set(blocks.map(({ id }) => id)).size).toBe(blocks.length);
    const items = blocks.filter(({ text }) => text === 'one' || text === 'two');
    expect(new Set(items.map(({ path }) => path[0].key)).size).toBe(1);
    expect(items[0].path[0].key).toBe(items[0].id);
  });
  it('lead nobody to the post that is gone or in a circle', () => {
    expect(hrefs).not.toContain('/islands');
    expect(hrefs).toContain('#boats');
    expect(hrefs).toContain('#sleep');
    expect(hrefs).toContain('/quay');
    expect(hrefs.some((href) => href.includes('ferries'))).toBe(false);
  });
  it('keep the footnotes that their text refers to, those of both in one list', () => {
    const referred = blocks.flatMap(({ marks }) =>
      marks.flatMap(({ href }) => (href && isNoteRef(href) ? [noteOf(href)] : [])),
    );
    expect(referred).toHaveLength(2);
    const notes = blocks.filter(({ id }) => referred.includes(id));
    expect(notes.map(({ text }) => text).sort()).toEqual(['As of spring.', 'Ask first.']);
    expect(new Set(notes.map(({ path }) => path[0].key)).size).toBe(1);
    expect(blocks.some(({ text }) => text === 'On Fridays.')).toBe(false);
  });
  it('aim at what both aim at, each once, and are called and filed as the one that stays', () => {
    expect(joined.fields).toMatchObject({
      title: '',
      keyword: 'ferry times',
      supporting: ['boats', 'island stay'],
      tags: ['Sea', 'Camping'],
    });
  });
  it('are the post that stays where nothing is taken over', () => {
    const alone = side(FERRIES, '/ferries');
    const all = postSections(alone.draft).map(({ id }) => ({ from: 'keeper' as const, id }));
    expect(joinedPost(alone, other, all, null, countingIds('n')).draft).toEqual(alone.draft);
  });
});
