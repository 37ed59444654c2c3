import 'fake-indexeddb/auto';
import { strFromU8, unzipSync } from 'fflate';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { briefOfPost, changeBrief, generationsOf, keepGenerations } from './briefs.ts';
import { database, openDatabase } from './database.ts';
import { exportZip } from './export-zip.ts';
import { addPost, finishedBody, savePost, setDeleted } from './posts.ts';
import { ensureSite } from './sites.ts';
import { emptyOldTrash } from './trash.ts';

openDatabase('finished');
let siteId = '';
const draft = readMarkdown('Opening.\n\n## Written\n\nWords.\n\n## Waiting\n\n## Typed by hand').draft;
const heading = (text: string) => draft.blocks.find((block) => block.text === text)!;
const outline = ['Written', 'Waiting'].map((text) => ({
  id: heading(text).id,
  level: 2,
  text,
  note: 'Note',
}));

beforeEach(async () => {
  await Promise.all(database().tables.map((table) => table.clear()));
  siteId = (await ensureSite()).id;
  await addPost(siteId, 'p', '2026-11-01T09:00:00Z');
  const document = { fields: { ...emptyFields(), title: 'Tides' }, draft };
  await savePost({ id: 'p', revision: 1, now: '2026-11-01T10:00:00Z', document, outline });
});

describe('headings that wait for their text', () => {
  it('are kept with the post, and do not go out with it', async () => {
    const body = (await database().bodies.get('p'))!;
    expect(body.draft).toEqual(draft);
    expect(finishedBody(body).blocks.map(({ text }) => text)).toEqual([
      'Opening.',
      'Written',
      'Words.',
      'Typed by hand',
    ]);
    expect(finishedBody(undefined).blocks).toEqual([]);
    const zip = unzipSync(new Uint8Array(await (await exportZip(siteId, ['p'])).arrayBuffer()));
    const text = strFromU8(zip['tides.md']);
    expect(text).toContain('## Written');
    expect(text).not.toContain('## Waiting');
    expect(text).not.toContain('Note');
  });
});

describe('the brief of a post, and what was generated for it', () => {
  it('is empty at first; two changes in quick succession both hold', async () => {
    expect(await briefOfPost(siteId, 'p')).toMatchObject({ postId: 'p', topics: null, figures: [] });
    await Promise.all([
      changeBrief(siteId, 'p', () => ({ notes: 'Photos on Friday.' })),
      changeBrief(siteId, 'p', ({ links }) => ({ links: [...links, { address: '/quay' }] })),
    ]);
    expect(await briefOfPost(siteId, 'p')).toMatchObject({
      notes: 'Photos on Friday.',
      links: [{ address: '/quay' }],
    });
  });
  it('come the latest first, and go with the post when its undo is past', async () => {
    const made = (at: string, title: string) => ({
      siteId,
      postId: 'p',
      at,
      recipe: 'outline' as const,
      title,
      input: 'Query: tides',
      output: '## Tides',
    });
    await keepGenerations([made('2026-11-01T09:00:00Z', 'first'), made('2026-11-02T09:00:00Z', 'second')]);
    expect((await generationsOf(siteId, 'p')).map(({ title }) => title)).toEqual(['second', 'first']);
    expect(await generationsOf(siteId, 'other')).toEqual([]);
    await changeBrief(siteId, 'p', () => ({ notes: 'x' }));
    await setDeleted(['p'], '2026-11-03T09:00:00Z');
    await emptyOldTrash(Date.parse('2026-12-04T09:00:00Z'));
    expect([await database().generations.count(), await database().briefs.count()]).toEqual([0, 0]);
  });
});
