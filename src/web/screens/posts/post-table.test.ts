import { describe, expect, it } from 'vitest';
import { emptyFields, type PostFields } from '../../../core/draft/index.ts';
import { type ListWish, type PostLine, shownLines } from './post-table.ts';

const line = (title: string, fields: Partial<PostFields>, score: number | null, words = 100): PostLine => ({
  row: {
    id: title,
    siteId: 's',
    revision: 1,
    deleted: '',
    changed: `2026-11-0${title.length % 9}`,
    fields: { ...emptyFields(), title, ...fields },
  },
  score:
    score === null
      ? undefined
      : { postId: title, siteId: 's', key: '', score, words, groups: [], first: null, gains: [] },
});
const lines = [
  line('Tide tables', { keyword: 'low water', status: 'published', slug: 'tides' }, 80, 300),
  line('bike kit', { keyword: 'bike tour', status: 'draft' }, 40, 900),
  line('', { status: 'draft' }, null),
  line('Årstid', { keyword: 'Winter', status: 'in-review' }, 60),
];
const wish: ListWish = { search: '', status: 'all', sort: 'title', descending: false };
const titles = (change: Partial<ListWish>) =>
  shownLines(lines, { ...wish, ...change }).map(({ row }) => row.fields.title);

describe('the list of posts', () => {
  it('sorts by title as people do, untitled posts last', () =>
    expect(titles({})).toEqual(['Årstid', 'bike kit', 'Tide tables', '']));
  it('sorts by score and by words, those without one last', () => {
    expect(titles({ sort: 'score', descending: true })).toEqual(['Tide tables', 'Årstid', 'bike kit', '']);
    expect(titles({ sort: 'words', descending: true })[0]).toBe('bike kit');
  });
  it('finds words of title, keyword and slug, all of them, in any order', () => {
    expect(titles({ search: 'TIDES low' })).toEqual(['Tide tables']);
    expect(titles({ search: 'tour bike' })).toEqual(['bike kit']);
    expect(titles({ search: 'tour tides' })).toEqual([]);
  });
  it('filters by status', () => expect(titles({ status: 'draft' })).toEqual(['bike kit', '']));
  it('leaves the given list as it was', () => {
    const before = [...lines];
    shownLines(lines, { ...wish, sort: 'score' });
    expect(lines).toEqual(before);
  });
});
