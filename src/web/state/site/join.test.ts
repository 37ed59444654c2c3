import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { emptyFields, linksOf, readMarkdown } from '../../../core/draft/index.ts';
import { unknownSite } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database, openDatabase } from '../../data/database.ts';
import { addPost, loadPost, savePost } from '../../data/posts.ts';
import { siteRow } from '../../data/sites.ts';
import { siteJoin } from '../../workers/site-join.ts';
import { joinPosts, takeSectionsOver } from './join.ts';

const NOW = '2026-11-30T12:00:00.000Z';
const headings = async (id: string) =>
  (await loadPost(id))?.draft.blocks.flatMap(({ kind, text }) => (kind === 'heading' ? [text] : []));
const leads = async (id: string) =>
  (await loadPost(id))!.draft.blocks.flatMap((block) => linksOf(block).map(({ href }) => href));
const redirects = async () =>
  ((await database().sites.get('s'))!.redirects ?? []).map(({ from, to }) => `${from} ${to}`);
const plan = async (keeper = 'a', other = 'b') => {
  const { advice } = await siteJoin.sideBySide('s', keeper, other);
  return siteJoin.joinPlan('s', keeper, other, advice.order, 'job');
};
const text = (what: string) => `${what} is told of at length here, `.repeat(8);

beforeAll(async () => {
  await openDatabase('join').open();
});
beforeEach(async () => {
  for (const table of database().tables) await table.clear();
  await database().sites.put({
    ...siteRow('s', { ...unknownSite(), addressPattern: '/{slug}' }),
    redirects: [
      { from: '/older', to: '/b', since: NOW, why: '' },
      { from: '/elder', to: '/a', since: NOW, why: '' },
    ],
    publishing: { kind: 'zip', endpoint: '' },
  });
  const add = (id: string, md: string, status: 'draft' | 'published' = 'published') =>
    addPost('s', id, NOW, {
      fields: { ...emptyFields(), title: id, slug: id, status, keyword: `${id} word` },
      draft: readMarkdown(md).draft,
    });
  await add('a', `Start.\n\n## Constructor\n\n${text('A boat')}\n\n## Tides\n\n${text('A tide')}`);
  await add('b', `Start.\n\n## Barns\n\n${text('A barn')}\n\n## Ovens\n\n${text('An oven')}`);
  await add('c', 'See [b](/b).');
  await add('d', 'Nothing yet.', 'draft');
});

describe('two posts that are joined', () => {
  it('are one afterwards, with links and redirects, and two again when that is taken back', async () => {
    const { takeBack, left } = await joinPosts('s', await plan());
    expect(left).toEqual([]);
    expect(await headings('a')).toEqual(['Constructor', 'Tides', 'Barns', 'Ovens']);
    expect((await loadPost('a'))!.row.fields).toMatchObject({ status: 'published', supporting: ['b word'] });
    expect(await loadPost('b')).toBeNull();
    expect(await leads('c')).toEqual(['/a']);
    expect(await redirects()).toEqual(['/older /a', '/elder /a', '/b /a']);
    expect(await takeBack()).toBe('');
    expect(await headings('a')).toEqual(['Constructor', 'Tides']);
    expect((await loadPost('b'))!.row.fields.status).toBe('published');
    expect(await leads('c')).toEqual(['/b']);
    expect(await redirects()).toEqual(['/older /b', '/elder /a']);
  });
  it('are left alone where one was changed since they were looked at', async () => {
    const stale = await plan();
    const { row, draft, outline } = (await loadPost('b'))!;
    const document = { fields: { ...row.fields, title: 'Written since' }, draft };
    await savePost({ id: 'b', revision: row.revision, now: NOW, document, outline });
    await expect(joinPosts('s', stale)).rejects.toThrow('changed in the meantime');
    await expect(takeSectionsOver(stale)).rejects.toThrow('changed in the meantime');
    expect(await headings('a')).toEqual(['Constructor', 'Tides']);
    expect(await redirects()).toEqual(['/older /b', '/elder /a']);
  });
  it('are not where readers would be led to what is not published', async () => {
    const wrong = await plan('d', 'b');
    expect(wrong.problems.join()).toContain('“d” is not published');
    await expect(joinPosts('s', wrong)).rejects.toThrow('is not published');
    const unread = await plan('a', 'd');
    expect([unread.problems, unread.redirect]).toEqual([[], null]);
  });
  it('can stay two, the one with the sections of the other', async () => {
    const takeBack = await takeSectionsOver(await plan());
    expect(await headings('a')).toEqual(['Constructor', 'Tides', 'Barns', 'Ovens']);
    expect(await headings('b')).toEqual(['Barns', 'Ovens']);
    expect(await redirects()).toEqual(['/older /b', '/elder /a']);
    await takeBack();
    expect(await headings('a')).toEqual(['Constructor', 'Tides']);
  });
  it('keep what was written into the joined post when that is taken back, and a redirect that came since', async () => {
    const { takeBack } = await joinPosts('s', await plan());
    const { row, draft, outline } = (await loadPost('a'))!;
    const fields = { ...row.fields, title: 'Written since' };
    await savePost({ id: 'a', revision: row.revision, now: NOW, document: { fields, draft }, outline });
    await changeRow(database().sites, 's', (site) => ({
      redirects: [...(site.redirects ?? []), { from: '/new', to: '/a', since: NOW, why: '' }],
    }));
    await takeBack();
    expect((await loadPost('a'))!.row.fields.title).toBe('Written since');
    expect(await headings('a')).toEqual(['Constructor', 'Tides']);
    expect(await redirects()).toEqual(['/older /b', '/elder /a', '/new /a']);
  });
  it('are refused where they are one, or one is gone', async () => {
    await expect(siteJoin.sideBySide('s', 'a', 'a')).rejects.toThrow('is gone');
    await expect(siteJoin.sideBySide('s', 'a', 'constructor')).rejects.toThrow('is gone');
  });
});
