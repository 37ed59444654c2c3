import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { type Backup, readBackupFile, writeBackupFile } from '../../core/formats/index.ts';
import { unknownSite } from '../../core/site/index.ts';
import { restoreBackup, writeBackup } from './backup.ts';
import { changeBrief, keepGenerations } from './briefs.ts';
import { collectPictures } from './collect-pictures.ts';
import { database, openDatabase } from './database.ts';
import { sha256 } from './digest.ts';
import { letOriginalsGo, pictureStorage } from './picture-storage.ts';
import { keepPicture } from './picture-store.ts';
import { addPost, loadPost, postsOf, StaleWrite, savePost, setDeleted } from './posts.ts';
import { takeReplacedBack } from './replaced-rows.ts';
import { changeHouse, changeSite, currentSite, ensureSite, siteRow } from './sites.ts';
import { addStudy } from './studies.ts';
import { pageRowOf } from './study-pages.ts';
import { setTick, ticksOf } from './ticks.ts';
import { keepVersion, versionsOf } from './versions.ts';

const MORNING = '2026-11-01T09:00:00Z';
const NOON = '2026-11-01T12:00:00Z';
const LATER = '2026-11-02T12:00:00Z';

const written = (words: string) => ({
  fields: { ...emptyFields(), title: words },
  draft: readMarkdown(`${words}\n\n![Dyke](media/dyke.png)`).draft,
});
const write = (id: string, revision: number, words: string, now: string) =>
  savePost({ id, revision, now, document: written(words), outline: [] });
const rows = async () =>
  Object.fromEntries(
    await Promise.all(
      database()
        .tables.filter(({ name }) => name !== 'blobs')
        .map(async (table) => [table.name, await table.toArray()]),
    ),
  );

let siteId = '';
beforeEach(async () => {
  openDatabase('restore');
  await Promise.all(database().tables.map((table) => table.clear()));
  siteId = (await ensureSite()).id;
  await keepPicture(siteId, 'dyke.png', new Blob(['a dyke'], { type: 'image/png' }), { bytes: 6, width: 4 });
  await addPost(siteId, 'a', MORNING, written('First words'));
  await addPost(siteId, 'b', MORNING, written('Other words'));
  await keepVersion(
    { siteId, postId: 'a' },
    { document: written('Kept'), outline: [] },
    'named',
    MORNING,
    'Kept',
  );
  const page = await pageRowOf(siteId, { format: 'html', text: '<p>Tides</p>' });
  const band = { lower: 1, median: 2, upper: 3, best: 4 };
  await addStudy(
    {
      id: 'study',
      siteId,
      query: 'tide table',
      region: 'GB',
      made: MORNING,
      revision: 1,
      posts: ['a'],
      earlier: '',
      pages: [
        {
          key: page.key,
          address: 'https://tides.example/',
          publisher: 'Tides',
          kind: 'blog',
          rank: 1,
          title: 'Tides',
          left: true,
          problem: '',
        },
      ],
      asked: [{ text: 'When is high water?', place: 'forum', volume: null }],
      phrases: [{ phrase: 'tide times', volume: 90 }],
      choices: { pinned: ['tide'], dropped: ['sea'], added: [{ key: 'quay', form: 'quays' }] },
      facts: {
        keywordRateUpper: 1.5,
        words: band,
        score: { ...band, topTen: 2 },
        terms: [{ key: 'tide', form: 'tides', group: 'staple', heading: true, share: 1, lower: 1, upper: 2 }],
        topics: [{ name: 'High water', share: 0.5, stems: [['water', 1]] }],
      },
    },
    [page],
  );
  const figure = {
    text: 'Two tides a day.',
    about: 'Tides',
    address: 'https://tides.example/',
    publisher: 'Tides',
    source: '',
    link: '',
    own: false,
    weight: 1,
  };
  await changeBrief(siteId, 'a', () => ({
    left: ['avoid'],
    topics: ['High water'],
    figures: [figure],
    links: [{ address: '/quay', title: 'The quay' }],
  }));
  await keepGenerations([
    {
      siteId,
      postId: 'a',
      at: MORNING,
      recipe: 'outline',
      title: 'List',
      input: 'Query',
      output: '## Tides',
    },
  ]);
});

const backup = async () => new Uint8Array(await (await writeBackup(NOON)).file.arrayBuffer());

describe('restoring in place of what is here', () => {
  it('brings everything back: posts, versions, pictures, rules', async () => {
    const [file, before] = [await backup(), await rows()];
    await write('a', 1, 'Changed', LATER);
    await setDeleted(['b'], LATER);
    await changeSite(siteId, { name: 'Other' });
    await database().pictures.clear();
    expect((await restoreBackup(file, 'replace', LATER)).done).toMatchObject({
      posts: 2,
      pictures: 1,
      kept: 0,
      damaged: [],
    });
    const after = await rows();
    const free = (post: object) => ({ ...post, revision: 0 });
    expect({ ...after, posts: after['posts'].map(free) }).toEqual({
      ...before,
      posts: before['posts'].map(free),
    });
    expect((await versionsOf(siteId, 'a')).map(({ name }) => name)).toEqual(['Kept']);
  });
  it('leaves no revision that an open tab could take for its own', async () => {
    await write('a', 1, 'Changed', NOON);
    const file = await backup();
    await write('a', 2, 'Changed again', LATER);
    await restoreBackup(file, 'replace', LATER);
    // Other tabs may still hold any of the revisions that were.
    for (const revision of [1, 2, 3])
      await expect(write('a', revision, 'From another tab', LATER)).rejects.toBeInstanceOf(StaleWrite);
    expect((await loadPost('a'))?.row.fields.title).toBe('Changed');
  });
  it('that fails changes nothing', async () => {
    const [file, before] = [await backup(), await rows()];
    await expect(restoreBackup(file.slice(0, -100), 'replace', LATER)).rejects.toThrow('damaged or cut off');
    const full = () => {
      throw new Error('no room');
    };
    database().bodies.hook('creating', full);
    try {
      await expect(restoreBackup(file, 'replace', LATER)).rejects.toThrow('no room');
    } finally {
      database().bodies.hook('creating').unsubscribe(full);
    }
    expect(await rows()).toEqual(before);
  });
});

describe('restoring beside what is here', () => {
  it('lets the newer of a post stay and keeps the other as a version', async () => {
    const file = await backup();
    await write('a', 1, 'Newer here', LATER);
    expect((await restoreBackup(file, 'merge', LATER)).done.kept).toBe(1);
    expect((await loadPost('a'))?.row.fields.title).toBe('Newer here');
    expect((await versionsOf(siteId, 'a')).map(({ fields }) => fields.title).sort()).toEqual([
      'First words',
      'Kept',
    ]);
  });
  it('twice adds nothing', async () => {
    const file = await backup();
    await restoreBackup(file, 'merge', LATER);
    const once = await rows();
    await restoreBackup(file, 'merge', LATER);
    const twice = await rows();
    const sizes = (all: Record<string, unknown[]>) =>
      Object.entries(all).map(([name, list]) => [name, list.length]);
    expect(sizes(twice)).toEqual(sizes(once));
  });
  it('takes a backup of the days before there were houses and ticks', async () => {
    await setTick(siteId, 'a', 'x', true);
    const bytes = await backup();
    const old = await readBackupFile<Backup['data'] & { ticks?: unknown }>(bytes, sha256);
    delete old.data.ticks;
    for (const site of old.data.sites as unknown as Record<string, unknown>[]) {
      delete site['house'];
      delete site['opened'];
    }
    await restoreBackup(await writeBackupFile(old, sha256), 'replace', LATER);
    expect((await currentSite())?.house.checklist).toEqual([]);
    await restoreBackup(bytes, 'replace', LATER);
    expect(await ticksOf(siteId, 'a')).toEqual(['x']);
  });
  it('fills an empty application', async () => {
    const file = await backup();
    await Promise.all(database().tables.map((table) => table.clear()));
    await restoreBackup(file, 'merge', LATER);
    expect((await postsOf(siteId)).map(({ id }) => id).sort()).toEqual(['a', 'b']);
  });
  it('gives a picture another name where its own is taken by another, and its posts follow', async () => {
    const file = await backup();
    await Promise.all(
      ['posts', 'bodies', 'versions', 'pictures', 'blobs'].map((name) => database().table(name).clear()),
    );
    await keepPicture(siteId, 'dyke.png', new Blob(['another dyke']), { bytes: 12, width: 4 });
    await restoreBackup(file, 'merge', LATER);
    const sources = (await loadPost('a'))?.draft.blocks.flatMap(({ image }) => image?.src ?? []);
    expect(sources).toEqual(['media/dyke-2.png']);
    expect(await database().pictures.count()).toBe(2);
  });
});

describe('pictures that nothing names', () => {
  it('go; those of a version or of a deleted post stay', async () => {
    await keepPicture(siteId, 'stray.png', new Blob(['stray']), { bytes: 5, width: null });
    await setDeleted(['a', 'b'], LATER);
    expect(await collectPictures(await database().pictures.toCollection().primaryKeys())).toBe(1);
    expect((await database().pictures.toArray()).map(({ name }) => name)).toEqual(['dyke.png']);
    expect(await database().blobs.count()).toBe(1);
  });
});

describe('a picture that was made of another', () => {
  const origin = { kind: 'licence' as const, credit: 'Ada Reed', licence: 'CC BY 4.0' };
  const keys = () => database().pictures.toCollection().primaryKeys();
  const names = async () => (await database().pictures.toArray()).map(({ name }) => name).sort();
  beforeEach(async () => {
    await keepPicture(siteId, 'camera.jpg', new Blob(['all of it']), { bytes: 9, width: 40 });
    await keepPicture(
      siteId,
      'IMG_1.jpg',
      new Blob(['turned']),
      { bytes: 6, width: 30 },
      {
        madeFrom: 'camera.jpg',
      },
    );
    await keepPicture(
      siteId,
      'dyke.png',
      new Blob(['a dyke'], { type: 'image/png' }),
      { bytes: 6, width: 4 },
      {
        madeFrom: 'IMG_1.jpg',
        origin,
      },
    );
  });
  it('keeps its originals, until they are let go; and they come back until the next visit', async () => {
    expect(await collectPictures(await keys())).toBe(0);
    const { inPosts, originals, leftOver } = await pictureStorage(siteId);
    expect([inPosts, originals, leftOver]).toEqual([
      { count: 1, bytes: 6 },
      { count: 2, bytes: 15 },
      { count: 0, bytes: 0 },
    ]);
    const takeBack = await letOriginalsGo(siteId);
    expect((await pictureStorage(siteId)).leftOver.count).toBe(2);
    await takeBack();
    expect((await pictureStorage(siteId)).originals.count).toBe(2);
    await letOriginalsGo(siteId);
    expect(await collectPictures(await keys())).toBe(2);
    expect(await names()).toEqual(['dyke.png']);
    await takeBack();
    expect((await pictureStorage(siteId)).originals.count).toBe(0);
  });
  it('keeps whose it is, through a second keeping and through a backup beside other pictures', async () => {
    await keepPicture(siteId, 'dyke.png', new Blob(['a dyke'], { type: 'image/png' }), {
      bytes: 6,
      width: 4,
    });
    expect(await database().pictures.get([siteId, 'dyke.png'])).toMatchObject({
      origin,
      madeFrom: 'IMG_1.jpg',
    });
    const { file } = await writeBackup(NOON);
    await Promise.all(['pictures', 'blobs'].map((name) => database().table(name).clear()));
    await keepPicture(siteId, 'IMG_1.jpg', new Blob(['another']), { bytes: 7, width: 4 });
    await restoreBackup(new Uint8Array(await file.arrayBuffer()), 'merge', LATER);
    const row = await database().pictures.get([siteId, 'dyke.png']);
    expect(row).toMatchObject({ origin, madeFrom: 'IMG_1-2.jpg' });
    expect(await database().pictures.get([siteId, 'IMG_1-2.jpg'])).toMatchObject({ madeFrom: 'camera.jpg' });
  });
});

describe('taking a restore back', () => {
  const free = (all: Record<string, Record<string, unknown>[]>) => ({
    ...all,
    scores: [],
    posts: all['posts'].map((post) => ({ ...post, revision: 0 })),
  });
  it('leaves everything as it was before', async () => {
    const file = await backup();
    await write('a', 1, 'Changed', LATER);
    await setDeleted(['b'], LATER);
    await addPost(siteId, 'c', LATER, written('Only here'));
    await changeSite(siteId, { name: 'Other' });
    const before = await rows();
    for (const mode of ['replace', 'merge'] as const) {
      const { replaced } = await restoreBackup(file, mode, LATER);
      expect(await takeReplacedBack(replaced, LATER)).toBe('');
      expect(free(await rows())).toEqual(free(before));
    }
  });
  it('keeps words written since: in the post, in a version, and in posts that came with it', async () => {
    await addPost(siteId, 'only-there', MORNING, written('Only in the backup'));
    const file = await backup();
    await write('a', 1, 'Changed', LATER);
    await database().posts.delete('only-there');
    await database().bodies.delete('only-there');
    const { replaced } = await restoreBackup(file, 'replace', LATER);
    const words = async (id: string) => (await loadPost(id))!;
    const { row, draft, outline } = await words('a');
    const typed = [...draft.blocks, { ...draft.blocks[0], id: 'typed', text: 'Typed since.' }];
    const document = { fields: { ...row.fields, slug: 'since' }, draft: { ...draft, blocks: typed } };
    await savePost({ id: 'a', revision: row.revision, now: LATER, document, outline });
    const other = (await words('only-there')).row.revision;
    await write('only-there', other, 'Written on', LATER);
    expect(await takeReplacedBack(replaced, LATER)).toMatch(/2 posts were written in since/);
    const after = await words('a');
    expect(after.row.fields).toMatchObject({ title: 'Changed', slug: 'since' });
    expect(after.draft.blocks.map(({ text }) => text)).toContain('Typed since.');
    const versions = (await versionsOf(siteId, 'a')).map((one) => one.draft.blocks.map(({ text }) => text));
    expect(versions).toContainEqual(['First words', '', 'Typed since.']);
    expect((await words('only-there')).row.fields.title).toBe('Written on');
  });
  it('keeps a site that came with it where something was begun there since', async () => {
    const file = await backup();
    await Promise.all(database().tables.map((table) => table.clear()));
    await database().sites.add(siteRow('other', unknownSite()));
    const { replaced } = await restoreBackup(file, 'replace', LATER);
    await addPost(siteId, 'begun', LATER, written('Begun since'));
    expect(await takeReplacedBack(replaced, LATER)).toMatch(/stays as it is/);
    expect((await database().sites.toArray()).map(({ id }) => id).sort()).toEqual(['other', siteId].sort());
    expect((await postsOf(siteId)).map(({ id }) => id)).toEqual(['begun']);
  });
  it('keeps rules and lists that were changed since, and says so', async () => {
    const file = await backup();
    await changeSite(siteId, { name: 'Before', region: 'DE' });
    const { replaced } = await restoreBackup(file, 'replace', LATER);
    await changeSite(siteId, { name: 'Since' });
    expect(await takeReplacedBack(replaced, LATER)).toMatch(/changed since stays? as/);
    expect(await currentSite()).toMatchObject({ name: 'Since', region: 'DE' });
  });
});

describe('a backup in a fresh browser, beside what is here', () => {
  const fresh = async () => {
    await Promise.all(database().tables.map((table) => table.clear()));
    return ensureSite();
  };
  it('takes the place of the site that nothing was done at, with name, address, offer and checklist', async () => {
    await changeSite(siteId, { name: 'Saltmarsh', baseAddress: 'https://saltmarsh.example' });
    await changeHouse(siteId, (house) => ({
      ...house,
      offer: 'Rent a bike',
      checklist: [{ id: 'x', text: 'Read aloud' }],
    }));
    const file = await backup();
    await fresh();
    await restoreBackup(file, 'merge', LATER);
    expect(await database().sites.count()).toBe(1);
    expect(await currentSite()).toMatchObject({
      name: 'Saltmarsh',
      baseAddress: 'https://saltmarsh.example',
      house: { offer: 'Rent a bike', checklist: [{ text: 'Read aloud' }] },
    });
  });
  it('stands beside the first site of somebody else, though both were called alike once', async () => {
    await changeSite(siteId, { baseAddress: 'https://one.example' });
    const renamed = await readBackupFile<Backup['data']>(await backup(), sha256);
    const text = JSON.stringify(renamed.data).replaceAll(siteId, 'site-1');
    const file = await writeBackupFile({ ...renamed, data: JSON.parse(text) }, sha256);
    await Promise.all(database().tables.map((table) => table.clear()));
    await database().sites.add({ ...siteRow('site-1', unknownSite()), baseAddress: 'https://two.example' });
    await addPost('site-1', 'mine', MORNING, written('Mine'));
    await restoreBackup(file, 'merge', LATER);
    expect((await database().sites.toArray()).map(({ baseAddress }) => baseAddress).sort()).toEqual([
      'https://one.example',
      'https://two.example',
    ]);
    expect((await postsOf('site-1')).map(({ id }) => id)).toEqual(['mine']);
    const other = (await database().sites.toArray()).find(({ id }) => id !== 'site-1')!;
    expect((await postsOf(other.id)).map(({ id }) => id).sort()).toEqual(['a', 'b']);
  });
  it('lets the newer of every row stay', async () => {
    await changeHouse(siteId, (house) => ({ ...house, offer: 'Old offer' }));
    await setTick(siteId, 'a', 'old', true);
    const file = await backup();
    await changeHouse(siteId, (house) => ({ ...house, offer: 'New offer' }));
    await setTick(siteId, 'a', 'new', true);
    await changeBrief(siteId, 'a', () => ({ topics: ['Newer'] }));
    await restoreBackup(file, 'merge', LATER);
    expect((await currentSite())?.house.offer).toBe('New offer');
    expect(await ticksOf(siteId, 'a')).toEqual(['old', 'new']);
    expect((await database().briefs.get('a'))?.topics).toEqual(['Newer']);
    const newer = await backup();
    await restoreBackup(file, 'replace', LATER);
    await restoreBackup(newer, 'merge', LATER);
    expect((await currentSite())?.house.offer).toBe('New offer');
    expect(await ticksOf(siteId, 'a')).toEqual(['old', 'new']);
  });
});

describe('one damaged record', () => {
  it('does not keep a backup from being written and read', async () => {
    const body = (await database().bodies.get('a'))!;
    const list = { type: 'list' as const, key: 'k', ordered: true, start: Number.POSITIVE_INFINITY };
    body.draft.blocks[0] = { ...body.draft.blocks[0], path: [list] };
    await database().bodies.put(body);
    await database().ideas.put({ id: 'i', siteId, title: 'An idea' } as never);
    const { file, damaged } = await writeBackup(NOON);
    expect(damaged.join()).toMatch(/text of a post \(“First words”\).*an idea \(“An idea”\)/);
    await Promise.all(database().tables.map((table) => table.clear()));
    const { done } = await restoreBackup(new Uint8Array(await file.arrayBuffer()), 'merge', LATER);
    expect(done).toMatchObject({ posts: 2, damaged: [] });
    expect((await loadPost('b'))?.draft.blocks[0].text).toBe('Other words');
  });
});
