import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { bareKeyword } from '../../core/research/index.ts';
import { defaultReuseWishes } from '../../core/reuse/index.ts';
import { keepAudit } from './audits.ts';
import { changeBrief, keepGenerations } from './briefs.ts';
import { keepCopy, keptCopies, newestCopyAsBackup, restoreCopy, writeIntoFolder } from './copies.ts';
import { database, openDatabase } from './database.ts';
import { MemoryFolder } from './folder.test-data.ts';
import { addIdeas } from './ideas.ts';
import { chunksOf, stampRow } from './keyword-chunks.ts';
import { addToList } from './lists.ts';
import { keepPicture } from './picture-store.ts';
import { addPost, setDeleted } from './posts.ts';
import { addReuse } from './reuses.ts';
import { keepExport } from './search-figures.ts';
import { addPages, ensureSite } from './sites.ts';
import { addStudy } from './studies.ts';
import { pageRowOf } from './study-pages.ts';
import { keepTalk } from './talks.ts';
import { setTick } from './ticks.ts';
import { keepVersion } from './versions.ts';

const NOW = '2026-11-20T12:00:00.000Z';
const LATER = '2026-11-20T14:00:00.000Z';
const written = (words: string) => ({
  fields: { ...emptyFields(), title: words },
  draft: readMarkdown(`${words}\n\n![Dyke](media/dyke.png)`).draft,
});
const source = { name: 'Figures', date: '2026-11-01' };

/** Every row of every table that a backup holds, without what counts or dates changes. */
async function everything(): Promise<Record<string, unknown[]>> {
  const all: Record<string, unknown[]> = {};
  for (const table of database().tables) {
    if (['scores', 'blobs', 'recordings'].includes(table.name)) continue;
    all[table.name] = (await table.toArray()).map((row: object) => ({ ...row, revision: 0, stamp: 0 }));
  }
  return all;
}

let root: MemoryFolder;
beforeEach(async () => {
  root = new MemoryFolder();
  vi.stubGlobal('navigator', { storage: { getDirectory: async () => root } });
  openDatabase('copies');
  await Promise.all(database().tables.map((table) => table.clear()));
  const siteId = (await ensureSite()).id;
  await keepPicture(siteId, 'dyke.png', new Blob(['a dyke'], { type: 'image/png' }), { bytes: 6, width: 4 });
  await addPost(siteId, 'a', NOW, written('First words'));
  await addPost(siteId, 'gone', NOW, written('Deleted words'));
  await setDeleted(['gone'], NOW);
  await keepVersion(
    { siteId, postId: 'a' },
    { document: written('Kept'), outline: [] },
    'named',
    NOW,
    'Kept',
  );
  await addPages(siteId, [{ address: '/quay', title: 'The quay' }]);
  await setTick(siteId, 'a', 'x', true);
  const keywords = [{ ...bareKeyword('tide table', 'GB', source), volume: 90 }];
  await database().keywords.bulkPut([...chunksOf(siteId, keywords), stampRow(siteId, 5)]);
  const day = { from: '2026-11-03', to: '2026-11-03' };
  const row = { query: 'tide', page: '/a', clicks: 1, impressions: 9, position: 4, ...day };
  await keepExport(siteId, [row], source, NOW);
  await addToList(siteId, { name: 'Tides', region: 'GB' }, ['tide table'], NOW);
  const idea = {
    origin: 'hand',
    title: 'Ebb',
    line: '',
    keyword: 'ebb',
    phrases: [],
    opportunity: null,
    from: '',
  };
  await addIdeas(siteId, [idea as never], NOW);
  const page = await pageRowOf(siteId, { format: 'text', text: 'High water.' });
  const study = {
    id: 's',
    siteId,
    query: 'tide',
    region: 'GB',
    made: NOW,
    revision: 1,
    posts: ['a'],
    earlier: '',
  };
  const pages = [
    {
      key: page.key,
      address: 'https://t.example/',
      publisher: 'T',
      kind: '',
      rank: 1,
      title: 'T',
      left: false,
      problem: '',
    },
  ];
  const choices = { pinned: [], dropped: [], added: [] };
  await addStudy({ ...study, pages, asked: [], phrases: [], choices, facts: null }, [page]);
  await changeBrief(siteId, 'a', () => ({ notes: 'Mind the mud.' }));
  await keepGenerations([
    { siteId, postId: 'a', at: NOW, recipe: 'brief', title: 'Brief', input: 'x', output: 'Words.' },
  ]);
  await keepTalk({
    postId: 'a',
    siteId,
    name: 'tide.vtt',
    at: NOW,
    form: 'WebVTT',
    cues: [{ start: 0, end: 1.5, speaker: 'Tom', text: 'um the tide', turn: true, times: [[3, 0.5]] }],
    address: '',
    kind: 'video',
    title: '',
  });
  await addReuse({
    id: 'r',
    siteId,
    postId: 'a',
    kind: 'newsletter',
    made: NOW,
    wishes: defaultReuseWishes(),
    parts: [{ head: 'Tides', text: 'The tide turns.', from: ['The tide turns.'] }],
    tags: [['utm_source', 'letter']],
    sent: [{ channel: 'Newsletter', how: 'recorded', at: NOW }],
    planned: '2026-12-20',
    letter: { subject: 'Tides', opening: '', closing: '', posts: ['a'] },
  });
  const audited = {
    id: 'a',
    title: 'First words',
    path: '/a',
    status: 'draft' as const,
    score: 12.5,
    words: 2,
    groups: [0.5, null],
    gains: [['post-size', 60] as [string, number]],
    clicks: 1,
    impressions: 9,
  };
  const shop = { path: '/shop', title: 'Shop', kind: 'shop' as const, faults: ['Alt text'] };
  const audit = { day: '2026-11-20', at: NOW, core: 1, rules: 'x', hasFigures: true };
  await keepAudit(siteId, { ...audit, posts: [audited], pages: [shop] }, NOW);
  await database().pageReads.put({
    siteId,
    path: '/shop',
    at: NOW,
    kind: 'shop',
    keyword: 'tide maps',
    ...written('Shop'),
    changed: NOW,
  });
});

describe('a copy kept beside the database', () => {
  it.each(['merge', 'replace'] as const)('brings every table back whole (%s)', async (mode) => {
    const before = await everything();
    expect(Object.entries(before).filter(([, rows]) => rows.length === 0)).toEqual([]);
    expect(await keepCopy(NOW)).toBe(true);
    expect(await keptCopies()).toEqual([{ made: NOW, posts: 1, pictures: [expect.any(String)] }]);
    await Promise.all(database().tables.map((table) => table.clear()));
    await ensureSite();
    const { done } = await restoreCopy(NOW, mode, LATER);
    expect(done.damaged).toEqual([]);
    expect(await everything()).toEqual(before);
    expect(await database().blobs.count()).toBe(1);
  });
  it('holds its pictures once for all copies, and lets those go that none names', async () => {
    await keepCopy(NOW);
    await database().pictures.clear();
    const [first] = await keptCopies();
    const folder = await (
      await (await root.getDirectoryHandle('copies')).getDirectoryHandle('copies')
    ).getDirectoryHandle('pictures');
    const names = async () => {
      const found: string[] = [];
      for await (const name of folder.keys()) found.push(name);
      return found;
    };
    expect(await names()).toEqual(first.pictures);
    await keepCopy(LATER);
    expect(await names()).toEqual(first.pictures);
    await keepCopy('2026-12-20T12:00:00.000Z');
    expect(await names()).toEqual([]);
  });
  it('is never pushed out by an empty database', async () => {
    await keepCopy(NOW);
    await Promise.all(database().tables.map((table) => table.clear()));
    expect(await keepCopy(LATER)).toBe(false);
    expect((await keptCopies()).map(({ made }) => made)).toEqual([NOW]);
  });
  it('goes out as one backup with its pictures in it', async () => {
    expect(await newestCopyAsBackup()).toBeNull();
    await keepCopy(NOW);
    const file = await newestCopyAsBackup();
    const { restoreBackup } = await import('./backup.ts');
    await Promise.all(database().tables.map((table) => table.clear()));
    const { done } = await restoreBackup(new Uint8Array(await (file as Blob).arrayBuffer()), 'merge', LATER);
    expect(done).toMatchObject({ posts: 2, pictures: 1, damaged: [] });
  });
  it('that is damaged hides no other', async () => {
    await keepCopy(NOW);
    await keepCopy(LATER);
    const folder = await (await root.getDirectoryHandle('copies')).getDirectoryHandle('copies');
    const list = await (
      await folder.getFileHandle(`${NOW.replaceAll(':', '-')}.json`, { create: true })
    ).createWritable();
    await list.write('{"made":');
    await list.close();
    vi.spyOn(console, 'error').mockImplementation(() => {});
    expect((await keptCopies()).map(({ made }) => made)).toEqual([LATER]);
  });
  it('that is gone says so', async () =>
    expect(restoreCopy(LATER, 'merge', LATER)).rejects.toThrow('is not kept any more'));
  it('goes into a chosen folder once a day, for seven days', async () => {
    const folder = new MemoryFolder();
    for (let day = 10; day < 19; day++)
      await writeIntoFolder(folder as never, new Blob(['PK']), `2026-11-${day}T12:00:00.000Z`);
    const names: string[] = [];
    for await (const name of folder.keys()) names.push(name);
    expect(names.sort()).toEqual(
      [12, 13, 14, 15, 16, 17, 18].map((day) => `dune-sparrow-2026-11-${day}.backup.zip`),
    );
  });
});
