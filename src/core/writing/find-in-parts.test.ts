import { describe, expect, it } from 'vitest';
import { applyEdits } from '../criteria/index.ts';
import { emptyFields, readHtml } from '../draft/index.ts';
import { findInParts, replaceInParts } from './index.ts';

const query = (search: string, rest = {}) => ({ search, caseSensitive: false, wholeWord: false, ...rest });
const post = {
  fields: {
    ...emptyFields(),
    title: 'Tide tables: a tide’s tale',
    metaDescription: 'When the tide turns.',
    excerpt: 'TIDES',
    imageAlt: null,
  },
  draft: readHtml(
    '<p>The tide.</p><figure><img src="a.png" alt="A tide mark"><figcaption>Tide at noon, İstanbul tide</figcaption></figure>',
  ).draft,
};
const counts = (search: string, rest = {}) =>
  findInParts(post, query(search, rest)).map(({ part, places }) => [part, places.length]);

describe('words beside the text', () => {
  it('are found in title, listing, excerpt, alternative texts and captions, not in the text itself', () =>
    expect(counts('tide')).toEqual([
      ['title', 2],
      ['metaDescription', 1],
      ['excerpt', 1],
      ['alt', 1],
      ['caption', 2],
    ]));
  it('are found whole, and in the same case, where that is asked', () => {
    expect(counts('tide', { wholeWord: true })).not.toContainEqual(['excerpt', 1]);
    expect(counts('Tide', { caseSensitive: true })).toEqual([
      ['title', 1],
      ['caption', 1],
    ]);
    expect(counts('')).toEqual([]);
    expect(counts('no such words')).toEqual([]);
  });
  it('are replaced all at once, however long the others are', () => {
    const { fields, draft } = applyEdits(
      post,
      replaceInParts(findInParts(post, query('tide')), 'high water'),
    );
    expect([fields.title, fields.metaDescription, fields.excerpt]).toEqual([
      'high water tables: a high water’s tale',
      'When the high water turns.',
      'high waterS',
    ]);
    const [text, picture] = draft.blocks;
    expect([text.text, picture.image?.alt, picture.text]).toEqual([
      'The tide.',
      'A high water mark',
      'high water at noon, İstanbul high water',
    ]);
  });
});
