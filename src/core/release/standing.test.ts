import { describe, expect, it } from 'vitest';
import { emptyFields, type PostFields, readMarkdown } from '../draft/index.ts';
import { appearances } from './appearances.ts';
import { standingOf } from './standing.ts';

const NOW = '2026-11-29T12:00:00Z';
const post = (text = 'We left at dawn.', fields: Partial<PostFields> = {}) => ({
  fields: { ...emptyFields(), title: 'Tides', slug: 'tides', status: 'published' as const, ...fields },
  draft: readMarkdown(text).draft,
});
const sent = { document: post(), out: '2026-11-01T09:00:00Z', withdrawn: false };
const standing = (written = post(), was: typeof sent | null = sent) => standingOf(written, was, NOW).standing;

describe('a post stands towards its readers', () => {
  it('as published while nothing that they see was changed', () => {
    expect(standing()).toBe('published');
    expect(standing(post(undefined, { goal: 'Bring riders', keyword: 'tide' }))).toBe('published');
  });
  it('as changed once a word, the title or its category is another', () => {
    expect(standing(post('We left at noon.'))).toBe('changed');
    expect(standing(post(undefined, { title: 'Tides and times' }))).toBe('changed');
    expect(standing(post(undefined, { category: 'Routes' }))).toBe('changed');
  });
  it('as scheduled until its time has come', () => {
    expect(standing(post(), { ...sent, out: '2026-12-01T09:00:00Z' })).toBe('scheduled');
    expect(standing(post(), { ...sent, out: NOW })).toBe('published');
  });
  it('as withdrawn, whatever its status says', () =>
    expect(standing(post(), { ...sent, withdrawn: true })).toBe('withdrawn'));
  it('as its status says where nothing was sent from here', () => {
    expect(standing(post(undefined, { status: 'in-review' }), null)).toBe('in-review');
    expect(standing(post(), null)).toBe('published');
    expect(standing(post(undefined, { status: 'draft' }))).toBe('draft');
  });
  it('and is told what it lacks', () =>
    expect(standingOf(post('', { title: '' }), null, NOW)).toMatchObject({
      lacks: ['a title', 'a text'],
      next: expect.stringMatching(/\.$/),
    }));
});

describe('where a post will appear', () => {
  const site = {
    perPage: 10,
    categories: [
      { name: 'Routes', slug: 'routes', description: '', parent: '' },
      { name: 'Tides', slug: 'tides', description: '', parent: 'routes' },
    ],
  };
  const shown = (fields: Partial<PostFields>, newer = 0) =>
    appearances({ ...emptyFields(), ...fields }, site, newer).map(({ name, path, appears }) =>
      `${appears ? '+' : '-'} ${name} ${path}`.trim(),
    );
  it('names the list of its category and of the one above', () =>
    expect(shown({ category: 'Tides' })).toEqual([
      '+ Home /',
      '+ Category Tides /category/routes/tides/',
      '+ Category Routes /category/routes/',
      '+ Feeds /rss.xml',
      '+ Sitemap /sitemap.xml',
    ]));
  it('says that it is on none, and of which category the blog knows nothing', () => {
    expect(shown({})).toContain('- Categories');
    expect(shown({ category: 'constructor' })).toContain('- Category constructor');
  });
  it('takes a category for there where those of the blog are not known', () =>
    expect(
      appearances({ ...emptyFields(), category: 'Routes' }, { categories: null, perPage: 10 }, 0).map(
        ({ name, appears }) => [name, appears],
      ),
    ).toContainEqual(['Category Routes', true]));
  it('counts the pages of lists, and what search does not show', () => {
    expect(shown({ robots: 'noindex' }, 23)).toEqual([
      '+ Home /page/3/',
      '- Categories',
      '- Feeds /rss.xml',
      '- Sitemap /sitemap.xml',
    ]);
  });
});
