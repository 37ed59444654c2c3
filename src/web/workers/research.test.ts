import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { anyKeyword, bareKeyword, type Keyword, previewTable } from '../../core/research/index.ts';
import { restoreBackup, writeBackup } from '../data/backup.ts';
import { database, openDatabase } from '../data/database.ts';
import { addIdeas, ideasOf } from '../data/ideas.ts';
import { keywordStamp, readKeywords, writeKeywords } from '../data/keyword-chunks.ts';
import { addToList, listsOf } from '../data/lists.ts';
import { addPost } from '../data/posts.ts';
import { changeSite, ensureSite } from '../data/sites.ts';
import { research } from './research.ts';

const NOW = '2026-11-20T09:00:00Z';
const source = { name: 'test', date: '2026-11-20' };
const keyword = (phrase: string, rest: Partial<Keyword> = {}): Keyword => ({
  ...bareKeyword(phrase, 'GB', source),
  ...rest,
});
const view = (rest: object = {}) =>
  research.view(siteId, {
    seeds: [],
    region: 'GB',
    wish: { ...anyKeyword, sort: 'volume' },
    listed: [],
    ...rest,
  });
const phrases = async (rest: object = {}) =>
  (await research.lines(siteId, [...(await view(rest)).rows])).map(({ keyword: { phrase } }) => phrase);
const reading = (text: string) => {
  const { delimiter, header, mapping } = previewTable(text);
  return { delimiter, headed: header !== null, mapping, region: 'GB', source };
};
const importing = (text: string, token = 'a') =>
  research.importTable(siteId, text, reading(text), token, () => {});

let siteId = '';
beforeEach(async () => {
  openDatabase('research');
  await Promise.all(database().tables.map((table) => table.clear()));
  siteId = (await ensureSite()).id;
  await changeSite(siteId, { baseAddress: 'https://saltmarsh.example', addressPattern: '/journal/{slug}' });
});

describe('keywords of a site', () => {
  it('are kept, merged, filtered and put in order', async () => {
    expect(
      await research.add(siteId, [keyword('bike bell', { volume: 10 }), keyword('panniers', { volume: 90 })]),
    ).toEqual({
      fresh: 2,
      merged: 0,
    });
    expect(await research.add(siteId, [keyword('Bike Bell', { volume: 200 })])).toEqual({
      fresh: 0,
      merged: 1,
    });
    expect(await phrases()).toEqual(['bike bell', 'panniers']);
    expect(await phrases({ seeds: ['bell'] })).toEqual(['bike bell']);
    expect(await phrases({ wish: { ...anyKeyword, onNoList: true }, listed: ['bike bell'] })).toEqual([
      'panniers',
    ]);
    expect(await phrases({ region: 'US' })).toEqual([]);
    expect((await readKeywords(siteId)).records.map(({ volume }) => volume)).toEqual([200, 90]);
  });

  it('of two tabs lose nothing to each other', async () => {
    await research.add(siteId, [keyword('bike bell')]);
    // Another tab adds one meanwhile.
    const { records, stamp } = await readKeywords(siteId);
    await writeKeywords(siteId, [...records, keyword('panniers')], [1], stamp);
    await expect(writeKeywords(siteId, records, [0], stamp)).rejects.toThrow('another tab');
    await research.add(siteId, [keyword('pump')]);
    expect((await readKeywords(siteId)).records.map(({ phrase }) => phrase)).toEqual([
      'bike bell',
      'panniers',
      'pump',
    ]);
    expect((await phrases()).sort()).toEqual(['bike bell', 'panniers', 'pump']);
  });

  it('lie in chunks of which only those that changed are written', async () => {
    await research.add(
      siteId,
      Array.from({ length: 12_001 }, (_, at) => keyword(`phrase ${at}`)),
    );
    expect((await database().keywords.toArray()).map(({ chunk }) => chunk)).toEqual([-1, 0, 1, 2]);
    const before = await database().keywords.get([siteId, 0]);
    await research.setIntent(siteId, 12_000, 'commercial');
    expect(await database().keywords.get([siteId, 0])).toEqual(before);
    expect((await research.detail(siteId, 'phrase 12000', 'GB'))?.line).toMatchObject({
      intent: 'commercial',
    });
    expect(await research.counts(siteId)).toEqual({ GB: 12_001 });
  });
});

describe('a table', () => {
  it('is read with its bad cells named, and the import taken back', async () => {
    await research.add(siteId, [
      keyword('bike bell', { volume: 1, source: { name: 'old', date: '2020-01-01' } }),
    ]);
    const reported: number[] = [];
    const text = 'keyword;volume\nbike bell;1.2K\npanniers;many\npump;30\n';
    const result = await research.importTable(siteId, text, reading(text), 'a', (done) =>
      reported.push(done),
    );
    expect(result).toEqual({
      taken: 3,
      fresh: 2,
      merged: 1,
      bad: 0,
      examples: [],
      badCells: 1,
      cellExamples: [{ line: 3, reason: '"many" is no volume' }],
    });
    expect(reported.at(-1)).toBe(1);
    expect((await phrases()).sort()).toEqual(['bike bell', 'panniers', 'pump']);
    await research.undoImport(siteId, 'a');
    expect(await phrases()).toEqual(['bike bell']);
    expect((await readKeywords(siteId)).records[0].volume).toBe(1);
  });

  it('can be stopped; then nothing was taken', async () => {
    const text = `keyword\n${Array.from({ length: 20_000 }, (_, at) => `phrase ${at}`).join('\n')}`;
    const task = importing(text);
    research.callOff('a');
    await expect(task).rejects.toMatchObject({ name: 'AbortError' });
    expect(await phrases()).toEqual([]);
  });

  it('is taken back without what was brought or decided since', async () => {
    await research.add(siteId, [
      keyword('bike bell', { volume: 1, source: { name: 'old', date: '2020-01-01' } }),
    ]);
    await importing('keyword,volume\nbike bell,10\npump,30\nhorn,5\n');
    await research.add(siteId, [keyword('gong', { volume: 3 })]);
    const rows = (await view()).rows;
    const lines = await research.lines(siteId, [...rows]);
    const at = lines.findIndex(({ keyword: { phrase } }) => phrase === 'pump');
    await research.setIntent(siteId, rows[at], 'commercial');
    expect(await research.undoImport(siteId, 'a')).toBe('1 phrase changed since and left so.');
    expect((await phrases()).sort()).toEqual(['bike bell', 'gong', 'pump']);
    expect((await readKeywords(siteId)).records.find(({ phrase }) => phrase === 'bike bell')?.volume).toBe(1);
    expect(await research.undoImport(siteId, 'a')).toMatch(/no longer/);
  });

  it('of phrases is grouped in steps that can be called off', async () => {
    await research.add(
      siteId,
      Array.from({ length: 5000 }, (_, at) => keyword(`word${at % 900} other${at}`, { volume: at })),
    );
    const { rows } = await view();
    const shares: number[] = [];
    const found = await research.clusters(siteId, rows, 'b', (share) => shares.push(share));
    expect(found.count).toBeGreaterThan(100);
    expect(shares.at(-1)).toBe(1);
    const task = research.clusters(siteId, rows, 'c', () => research.callOff('c'));
    await expect(task).rejects.toMatchObject({ name: 'AbortError' });
  });

  it('goes out as it came in', async () => {
    await importing('keyword,volume,difficulty\nbike bell,10,4\npanniers,,\n');
    const csv = await research.csv(siteId, (await view()).rows);
    await research.undoImport(siteId, 'a');
    await importing(csv, 'b');
    expect((await readKeywords(siteId)).records).toMatchObject([
      { phrase: 'bike bell', volume: 10, givenDifficulty: 4, source },
      { phrase: 'panniers', volume: null, givenDifficulty: null },
    ]);
  });
});

describe('a performance export', () => {
  it('shows near wins of the posts, and counts once what the next brings again', async () => {
    const fields = { ...emptyFields(), title: 'Panniers', slug: 'panniers', keyword: 'waterproof panniers' };
    await addPost(siteId, 'p', NOW, { fields, draft: readMarkdown('Text.').draft });
    const text =
      'query,page,clicks,impressions,position\nwaterproof panniers,https://www.saltmarsh.example/journal/panniers/,5,900,8\nbell,https://other.example/journal/panniers,5,900,8\n';
    const mapping = { query: 0, page: 1, clicks: 2, impressions: 3, position: 4 } as never;
    const period = { from: '2026-08-01', to: '2026-10-31' };
    const how = { delimiter: ',', headed: true, mapping, region: 'GB', source, period };
    expect(await research.nearWins(siteId)).toBeNull();
    expect(await research.importPerformance(siteId, text, how, 'a', () => {})).toMatchObject({
      taken: 2,
      bad: 0,
    });
    const found = (await research.nearWins(siteId))!;
    expect(found.queries).toBe(2);
    expect(found.wins.map(({ row, page, targeting }) => [row.query, page?.id, targeting])).toEqual([
      ['bell', undefined, 'none'],
      ['waterproof panniers', 'p', 'primary'],
    ]);
    const again = text
      .replace('bell,https://other.example/journal/panniers,5,900,8\n', '')
      .replace(',5,900,8', ',6,950,7');
    expect(await research.importPerformance(siteId, again, how, 'b', () => {})).toMatchObject({
      taken: 1,
      fresh: 0,
      merged: 1,
    });
    const now = (await research.nearWins(siteId))!;
    expect(now.queries).toBe(2);
    expect(now.wins.find(({ row }) => row.query === 'waterproof panniers')?.row).toMatchObject({
      clicks: 6,
      impressions: 950,
    });
    expect(await research.undoPerformance('b')).toBe('');
    expect((await research.nearWins(siteId))!.wins[1].row.impressions).toBe(900);
  });
});

describe('ideas', () => {
  it('come five at a time and never twice', async () => {
    await research.add(
      siteId,
      'alder birch cedar dogwood elder fir gorse'
        .split(' ')
        .map((tree, at) => keyword(`${tree} hedge`, { volume: 100 - at })),
    );
    const first = await research.ideas(siteId, { from: 'clusters', region: 'GB' }, 5);
    expect(first).toHaveLength(5);
    const [one, ...rest] = await addIdeas(siteId, first, NOW);
    await database().ideas.put({ ...one, stage: 'dropped' });
    expect(rest).toHaveLength(4);
    const next = await research.ideas(siteId, { from: 'clusters', region: 'GB' }, 5);
    expect(next.map(({ keyword: phrase }) => phrase)).toEqual(['fir hedge', 'gorse hedge']);
  });

  it('come from the headings of a post that somebody searches for', async () => {
    const { draft } = readMarkdown(
      `## Mending a broken pump\n\n${'A pump has a seal that wears. '.repeat(12)}`,
    );
    await addPost(siteId, 'p', NOW, {
      fields: { ...emptyFields(), title: 'Tyres', keyword: 'tyres' },
      draft,
    });
    expect(await research.ideas(siteId, { from: 'headings', region: 'GB', postId: 'p' }, 5)).toEqual([]);
    await research.add(siteId, [keyword('mend a pump', { volume: 40 })]);
    expect(await research.ideas(siteId, { from: 'headings', region: 'GB', postId: 'p' }, 5)).toMatchObject([
      { title: 'Mending a broken pump', from: 'p', origin: 'heading' },
    ]);
  });
});

describe('lists', () => {
  it('take phrases once, give themselves a primary keyword, and undo', async () => {
    const { list, added } = await addToList(
      siteId,
      { name: 'Bells', region: 'GB' },
      ['bike bell', 'Bike  Bell', 'horn'],
      NOW,
    );
    expect([added, list.primary, list.phrases]).toEqual([2, 'bike bell', ['bike bell', 'horn']]);
    const again = await addToList(siteId, { id: list.id }, ['HORN', 'gong'], NOW);
    expect(again.added).toBe(1);
    await again.undo();
    expect((await listsOf(siteId))[0].phrases).toEqual(['bike bell', 'horn']);
  });
});

describe('a backup', () => {
  it('holds research; merged it adds phrases to those that are here, and open work notices', async () => {
    await research.add(siteId, [keyword('bike bell', { volume: 10 })]);
    await addToList(siteId, { name: 'Bells', region: 'GB' }, ['bike bell'], NOW);
    await addIdeas(
      siteId,
      [{ origin: 'hand', title: 'Ring', line: '', keyword: '', phrases: [], opportunity: null, from: '' }],
      NOW,
    );
    const file = new Uint8Array(await (await writeBackup(NOW)).file.arrayBuffer());
    await database().lists.clear();
    await database().ideas.clear();
    await database().keywords.clear();
    await research.add(siteId, [keyword('pump')]);
    const stamp = await keywordStamp(siteId);
    await restoreBackup(file, 'merge', '2026-11-21T09:00:00Z');
    expect(await keywordStamp(siteId)).toBeGreaterThan(stamp);
    expect((await phrases()).sort()).toEqual(['bike bell', 'pump']);
    expect((await listsOf(siteId)).map(({ name }) => name)).toEqual(['Bells']);
    expect((await ideasOf(siteId)).map(({ title }) => title)).toEqual(['Ring']);
    await restoreBackup(file, 'replace', '2026-11-22T09:00:00Z');
    expect(await phrases()).toEqual(['bike bell']);
  });
});
