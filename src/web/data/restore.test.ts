import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { type Backup, readBackupFile, writeBackupFile } from '../../core/formats/index.ts';
import { restoreBackup, writeBackup } from './backup.ts';
import { changeBrief, keepGenerations } from './briefs.ts';
import { collectPictures } from './collect-pictures.ts';
import { database, openDatabase } from './database.ts';
import { sha256 } from './digest.ts';
import { keepPicture } from './picture-store.ts';
import { addPost, loadPost, postsOf, StaleWrite, savePost, setDeleted } from './posts.ts';
import { changeSite, currentSite, ensureSite } from './sites.ts';
import { addStudy, pageRowOf } from './studies.ts';
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

const backup = async () => new Uint8Array(await (await writeBackup(NOON)).arrayBuffer());

describe('restoring in place of what is here', () => {
  it('brings everything back: posts, versions, pictures, rules', async () => {
    const [file, before] = [await backup(), await rows()];
    await write('a', 1, 'Changed', LATER);
    await setDeleted(['b'], LATER);
    await changeSite(siteId, { name: 'Other' });
    await database().pictures.clear();
    expect(await restoreBackup(file, 'replace', LATER)).toMatchObject({ posts: 2, pictures: 1, kept: 0 });
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
    expect(await restoreBackup(file, 'merge', LATER)).toMatchObject({ kept: 1 });
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
