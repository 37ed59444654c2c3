import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyDraft, emptyFields } from '../../../core/draft/index.ts';
import { type OrderChange, unknownSite } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database, openDatabase } from '../../data/database.ts';
import { addPost, loadPost, savePost } from '../../data/posts.ts';
import { siteRow } from '../../data/sites.ts';
import { siteOrder } from '../../workers/site-order.ts';
import { arrange } from './arrange.ts';
import { tellBlog } from './tell-blog.ts';

vi.mock('./tell-blog.ts', async (actual) => {
  const real = await actual<typeof import('./tell-blog.ts')>();
  return { ...real, tellBlog: vi.fn(real.tellBlog) };
});

const NOW = '2026-11-30T12:00:00.000Z';
const category = (name: string) => ({ name, slug: name.toLowerCase(), description: '', parent: '' });
const site = async () => (await database().sites.get('s'))!;
const filed = async (id: string) => (await loadPost(id))!.row.fields.category;
const file = async (id: string, name: string) => {
  const { row, draft, outline } = (await loadPost(id))!;
  const document = { fields: { ...row.fields, category: name }, draft };
  await savePost({ id, revision: row.revision, now: NOW, document, outline });
};
const plan = (change: OrderChange) => siteOrder.plan('s', change, NOW, 'job');
const toConstructor: OrderChange = {
  categories: [category('Constructor')],
  filings: new Map(['a', 'b'].map((id) => [id, { category: 'Constructor', categories: [] }])),
};

beforeAll(async () => {
  await openDatabase('arrange').open();
});
beforeEach(async () => {
  for (const table of database().tables) await table.clear();
  await database().sites.put({
    ...siteRow('s', { ...unknownSite(), addressPattern: '/{category}/{slug}' }),
    categories: [category('Rye')],
    // Nobody is told of anything: files are saved.
    publishing: { kind: 'zip', endpoint: '' },
  });
  for (const id of ['a', 'b'])
    await addPost('s', id, NOW, {
      fields: { ...emptyFields(), title: id, slug: id, category: 'Rye', status: 'published' },
      draft: emptyDraft(),
    });
});

describe('a change of the order of a blog', () => {
  it('is made whole, and taken back whole', async () => {
    const { takeBack, left } = await arrange('s', await plan(toConstructor));
    expect(left).toEqual([]);
    expect([await filed('a'), await filed('b')]).toEqual(['Constructor', 'Constructor']);
    expect((await site()).redirects?.map(({ from, to }) => [from, to])).toEqual([
      ['/rye/a', '/constructor/a'],
      ['/rye/b', '/constructor/b'],
    ]);
    expect(await takeBack()).toBe('');
    expect([await filed('a'), await filed('b')]).toEqual(['Rye', 'Rye']);
    expect((await site()).categories?.map(({ name }) => name)).toEqual(['Rye']);
    expect((await site()).redirects ?? []).toEqual([]);
  });
  it('keeps its way back where a post cannot be read, or the blog fails as it is told', async () => {
    vi.mocked(tellBlog).mockRejectedValueOnce(new Error('It broke off.'));
    vi.spyOn(database().posts, 'get').mockRejectedValueOnce(new Error('Unreadable.'));
    vi.spyOn(console, 'error').mockImplementation(() => {});
    const { takeBack, left, untold } = await arrange('s', await plan(toConstructor));
    vi.restoreAllMocks();
    expect(untold).toBe('The blog was not told of all of it. It broke off.');
    expect(left).toEqual(['a']);
    expect([await filed('a'), await filed('b')]).toEqual(['Rye', 'Constructor']);
    await takeBack();
    expect([await filed('a'), await filed('b')]).toEqual(['Rye', 'Rye']);
    expect((await site()).categories?.map(({ name }) => name)).toEqual(['Rye']);
  });
  it('is refused where the site was changed since it was shown, and loses nothing', async () => {
    const stale = await plan(toConstructor);
    const old = { from: '/old', to: '/rye/a', since: NOW, why: '' };
    await changeRow(database().sites, 's', () => ({ redirects: [old] }));
    await expect(arrange('s', stale)).rejects.toThrow('Look at it again');
    expect((await site()).redirects).toEqual([old]);
    expect(await filed('a')).toBe('Rye');
  });
  it('leaves a post that was filed anew since it was shown, and names it', async () => {
    const shown = await plan(toConstructor);
    await file('b', 'Tools');
    const { left, takeBack } = await arrange('s', shown);
    expect(left).toEqual(['b']);
    expect([await filed('a'), await filed('b')]).toEqual(['Constructor', 'Tools']);
    await takeBack();
    expect([await filed('a'), await filed('b')]).toEqual(['Rye', 'Tools']);
  });
  it('keeps a redirect that came after it when it is taken back', async () => {
    const { takeBack } = await arrange('s', await plan(toConstructor));
    const later = { from: '/later', to: '/elsewhere', since: NOW, why: '' };
    await changeRow(database().sites, 's', ({ redirects = [] }) => ({ redirects: [...redirects, later] }));
    await takeBack();
    expect((await site()).redirects).toEqual([later]);
  });
});
