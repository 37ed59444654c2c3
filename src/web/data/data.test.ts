import 'fake-indexeddb/auto';
import { strFromU8, unzipSync } from 'fflate';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyDraft, emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { database, openDatabase } from './database.ts';
import { sha256 } from './digest.ts';
import { exportZip } from './export-zip.ts';
import { keepPicture, pictureBlob, pictureSizes } from './picture-store.ts';
import { addPicture } from './pictures.ts';
import {
  addPost,
  loadPost,
  postsOf,
  postsOfInSlices,
  removePosts,
  StaleWrite,
  savePost,
  setDeleted,
} from './posts.ts';
import { addSite, allSites, changeSite, currentSite, ensureSite, goToSite, removeSite } from './sites.ts';
import { leftOverOf, letLeftOverBe, startFrom } from './start-from.ts';
import { setTick, ticksOf } from './ticks.ts';
import { countDeleted, deletedPosts, emptyOldTrash, textOf } from './trash.ts';

const DAY = 24 * 60 * 60 * 1000;
const NOW = '2026-11-01T09:00:00Z';

beforeEach(async () => {
  openDatabase('test');
  await Promise.all(database().tables.map((table) => table.clear()));
});

describe('posts', () => {
  it('save by comparing and setting the revision; a late write changes nothing', async () => {
    await addPost('s', 'p', NOW);
    const document = { fields: { ...emptyFields(), title: 'First' }, draft: readMarkdown('One.').draft };
    expect(await savePost({ id: 'p', revision: 1, now: NOW, document, outline: [] })).toBe(2);
    const late = { ...document, fields: { ...document.fields, title: 'Late' } };
    await expect(
      savePost({ id: 'p', revision: 1, now: NOW, document: late, outline: [] }),
    ).rejects.toBeInstanceOf(StaleWrite);
    const kept = await loadPost('p');
    expect(kept?.row.fields.title).toBe('First');
    expect(kept?.draft.blocks[0].text).toBe('One.');
  });
  it('lie in the trash for thirty days, to be put back with all that they had', async () => {
    await addPost('s', 'a', NOW);
    await addPost('s', 'b', NOW);
    await setDeleted(['a'], NOW);
    expect((await postsOf('s')).map((row) => row.id)).toEqual(['b']);
    expect(await loadPost('a')).toBeNull();
    await setDeleted(['a'], '');
    expect((await postsOf('s')).length).toBe(2);
    await setDeleted(['a'], NOW);
    expect([await countDeleted('s'), (await deletedPosts('s')).map(({ id }) => id)]).toEqual([1, ['a']]);
    await emptyOldTrash(Date.parse(NOW) + 29 * DAY);
    expect(await database().posts.get('a')).toBeDefined();
    const putBack = await removePosts(['a']);
    expect(await database().bodies.get('a')).toBeUndefined();
    await putBack();
    expect(await textOf('a')).toEqual(emptyDraft());
    await emptyOldTrash(Date.parse(NOW) + 31 * DAY);
    expect(await database().posts.get('a')).toBeUndefined();
    expect(await database().bodies.get('a')).toBeUndefined();
    expect(await database().posts.get('b')).toBeDefined();
  });
  it('one of which is damaged are all there, that one with what can be read of it', async () => {
    await addPost('s', 'a', NOW, { fields: { ...emptyFields(), title: 'Whole' }, draft: emptyDraft() });
    for (const [id, fields] of [
      ['b', undefined],
      ['c', { ...emptyFields(), title: 'Half', tags: 'none', supporting: null, author: 7 }],
    ] as const) {
      await addPost('s', id, NOW);
      await database().posts.update(id, { fields } as never);
    }
    await database().bodies.update('c', { draft: { version: 1 } } as never);
    vi.spyOn(console, 'error').mockImplementation(() => {});
    const rows = await postsOf('s');
    expect(rows.map(({ fields }) => fields.title)).toEqual(['Whole', '', 'Half']);
    expect(rows[2].fields).toMatchObject({ tags: [], supporting: [], author: '' });
    expect((await loadPost('c'))?.draft.blocks).toEqual([]);
  });
  it('belong to a site', async () => {
    await addPost('s', 'a', NOW);
    await addPost('other', 'b', NOW);
    expect((await postsOf('other')).map((row) => row.id)).toEqual(['b']);
  });
});

describe('pictures', () => {
  const blob = (text: string) => new Blob([text], { type: 'image/png' });
  it('lie once by their content, under names of their own', async () => {
    expect(await keepPicture('s', 'a.png', blob('one'), { bytes: 3, width: null })).toBe('media/a.png');
    expect(await keepPicture('s', 'a.png', blob('one'), { bytes: 3, width: null })).toBe('media/a.png');
    expect(await keepPicture('s', 'a.png', blob('two'), { bytes: 3, width: null })).toBe('media/a-2.png');
    expect(await keepPicture('s', 'b.png', blob('two'), { bytes: 3, width: null })).toBe('media/b.png');
    expect(await database().blobs.count()).toBe(2);
    expect((await pictureSizes('s')).size).toBe(3);
  });
  it('get clean names', async () => {
    expect(await addPicture('s', blob('x'), 'Mein Foto (1).PNG')).toBe('media/mein-foto-1.png');
    expect(await addPicture('s', blob('y'), 'IMG_2041.png')).toBe('media/IMG_2041.png');
    expect(await pictureBlob('s', 'https://elsewhere.example/a.png')).toBeNull();
  });
});

describe('an exported folder', () => {
  it('holds posts under names of their own, their pictures and the site', async () => {
    const site = await ensureSite();
    await changeSite(site.id, { name: 'Saltmarsh', baseAddress: 'https://saltmarsh.example' });
    const src = await keepPicture(site.id, 'dyke.png', new Blob(['x']), { bytes: 1, width: null });
    const fields = { ...emptyFields(), title: 'Same', unknown: { weather: 'wet' } };
    await addPost(site.id, 'a', NOW, {
      fields: { ...fields, image: src },
      draft: readMarkdown('## H\n\nText.').draft,
    });
    await addPost(site.id, 'b', NOW, { fields, draft: readMarkdown(`![A dyke](${src})`).draft });
    const files = unzipSync(new Uint8Array(await (await exportZip(site.id, ['a', 'b'])).arrayBuffer()));
    expect(Object.keys(files).sort()).toEqual(['media/dyke.png', 'same-2.md', 'same.md', 'site.json']);
    expect(strFromU8(files['same.md'])).toContain('weather: wet');
    expect(JSON.parse(strFromU8(files['site.json']))).toMatchObject({
      name: 'Saltmarsh',
      addressPattern: '/{slug}',
      profile: { version: 1 },
    });
  });
});

describe('sites', () => {
  it('are gone to and removed with what belongs to them, and nothing else', async () => {
    const first = await ensureSite();
    await addSite('second', 'Second', NOW);
    expect((await currentSite())?.id).toBe('second');
    await addPost(first.id, 'a', NOW);
    await addPost('second', 'b', NOW);
    await setTick('second', 'b', 'read aloud', true);
    await goToSite(first.id, '2026-11-02T09:00:00Z');
    expect((await currentSite())?.id).toBe(first.id);
    await removeSite('second');
    expect((await allSites()).map(({ id }) => id)).toEqual([first.id]);
    expect(await database().posts.toCollection().primaryKeys()).toEqual(['a']);
    expect(await database().bodies.toCollection().primaryKeys()).toEqual(['a']);
    expect(await ticksOf('second', 'b')).toEqual([]);
  });
});

describe('a long list of posts', () => {
  it('comes slice by slice and whole: none twice, none of another site, none that is deleted', async () => {
    const rows = Array.from({ length: 950 }, (_v, at) => ({
      id: `p${String(at).padStart(4, '0')}`,
      siteId: at % 3 === 0 ? 'other' : 's',
      revision: 1,
      changed: NOW,
      deleted: at % 50 === 1 ? NOW : '',
      fields: emptyFields(),
    }));
    await database().posts.bulkAdd(rows);
    const ids = (await postsOfInSlices('s')).map(({ id }) => id);
    expect(ids).toEqual(
      rows.filter(({ siteId, deleted }) => siteId === 's' && deleted === '').map(({ id }) => id),
    );
  });
});

describe('a post begun from another', () => {
  it('remembers where from until that is let be', async () => {
    const draft = readMarkdown('One.\n\nTwo.').draft;
    await addPost('s', 'old', NOW, { fields: { ...emptyFields(), title: 'Old', slug: 'old' }, draft });
    expect(await startFrom('old', 'new', NOW)).toBe('new');
    expect((await loadPost('new'))?.row.fields).toMatchObject({ title: '', slug: '' });
    expect(await leftOverOf('new', draft)).toEqual({
      title: 'Old',
      blocks: draft.blocks.map(({ id }) => id),
    });
    expect(await letLeftOverBe('new')).toBe('old');
    expect(await leftOverOf('new', draft)).toBeNull();
    expect(await startFrom('gone', 'x', NOW)).toBeNull();
  });
});

describe('digests', () => {
  it('are the same where the browser gives none', async () => {
    const bytes = new TextEncoder().encode('a dyke');
    const given = await sha256(bytes);
    vi.stubGlobal('crypto', { subtle: undefined });
    try {
      expect(await sha256(bytes)).toBe(given);
    } finally {
      vi.unstubAllGlobals();
    }
  });
});
