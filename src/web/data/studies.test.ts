import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { database, openDatabase } from './database.ts';
import {
  addStudy,
  changeStudy,
  dropUnnamedPages,
  goBy,
  removeStudy,
  studiesOf,
  studyFactsOf,
  studyOfPost,
} from './studies.ts';
import { pageContents, pageRowOf } from './study-pages.ts';
import type { StudyRow } from './study-rows.ts';

openDatabase('studies');
const facts = { keywordRateUpper: 1, words: null, score: null, terms: [], topics: [] };
const study = (id: string, posts: string[], keys: string[] = []): StudyRow => ({
  id,
  siteId: 's',
  query: 'tide table',
  region: 'GB',
  made: `2026-11-0${id.slice(-1)}T00:00:00Z`,
  revision: 1,
  posts,
  earlier: '',
  pages: keys.map((key, at) => ({
    key,
    address: `https://p${at}.example/`,
    publisher: '',
    kind: '',
    rank: at + 1,
    title: '',
    left: false,
    problem: '',
  })),
  asked: [],
  phrases: [],
  choices: { pinned: [], dropped: [], added: [] },
  facts,
});

beforeEach(async () => {
  await database().studies.clear();
  await database().studyPages.clear();
});

describe('pages of studies', () => {
  it('are stored once, packed, and come back as they were', async () => {
    const text = `<p>${'Tides – and “marks”. '.repeat(500)}</p>`;
    const [one, same] = [
      await pageRowOf('s', { format: 'html', text }),
      await pageRowOf('s', { format: 'html', text }),
    ];
    expect(same).toEqual(one);
    expect(one.packed.length).toBeLessThan(text.length / 10);
    await addStudy(study('a1', ['p'], [one.key]), [one, same]);
    expect(await database().studyPages.count()).toBe(1);
    expect((await pageContents('s', [one.key, 'none'])).get(one.key)).toEqual({ format: 'html', text });
  });
  it('go with the last study that names them, and come back with it', async () => {
    const page = await pageRowOf('s', { format: 'text', text: 'High water at noon.' });
    await addStudy(study('a1', ['p'], [page.key]), [page]);
    await addStudy(study('a2', ['q'], [page.key]), []);
    await removeStudy('a1');
    expect(await database().studyPages.count()).toBe(1);
    const back = await removeStudy('a2');
    expect(await database().studyPages.count()).toBe(0);
    await back();
    expect((await pageContents('s', [page.key])).size).toBe(1);
    expect((await studiesOf('s')).map(({ id }) => id)).toEqual(['a2']);
  });
  it('come back with a study that was taken out, though the other that named them has read its pages again since', async () => {
    const page = await pageRowOf('s', { format: 'text', text: 'High water at noon.' });
    await addStudy(study('a1', ['p'], [page.key]), [page]);
    await addStudy(study('a2', ['q'], [page.key]), []);
    const back = await removeStudy('a1');
    await changeStudy('a2', () => ({ pages: [] }));
    await dropUnnamedPages('s', [page.key]);
    expect(await database().studyPages.count()).toBe(0);
    await back();
    expect((await pageContents('s', [page.key])).size).toBe(1);
    // What is named is never dropped.
    await dropUnnamedPages('s', [page.key, '']);
    expect((await pageContents('s', [page.key])).size).toBe(1);
  });
});

describe('posts', () => {
  it('go by one study each, and may share it', async () => {
    await addStudy(study('a1', ['p']), []);
    await addStudy(study('a2', ['q']), []);
    await goBy('s', 'p', 'a2');
    expect((await studyOfPost('s', 'p'))?.id).toBe('a2');
    expect((await studyOfPost('s', 'q'))?.id).toBe('a2');
    expect((await studiesOf('s')).find(({ id }) => id === 'a1')?.posts).toEqual([]);
    expect((await studyFactsOf('s')).map(([post]) => post).sort()).toEqual(['p', 'q']);
    await addStudy(study('a3', ['p', 'q']), []);
    expect((await studyOfPost('s', 'q'))?.id).toBe('a3');
    expect(await studyOfPost('s', 'nobody')).toBeNull();
  });
  it('two choices in quick succession both hold', async () => {
    await addStudy(study('a1', ['p']), []);
    await Promise.all([
      changeStudy('a1', ({ choices }) => ({ choices: { ...choices, pinned: [...choices.pinned, 'tide'] } })),
      changeStudy('a1', ({ choices }) => ({ choices: { ...choices, pinned: [...choices.pinned, 'quay'] } })),
    ]);
    const row = (await studyOfPost('s', 'p'))!;
    expect([row.choices.pinned, row.revision]).toEqual([['tide', 'quay'], 3]);
  });
});
