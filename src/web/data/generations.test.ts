import 'fake-indexeddb/auto';
import { liveQuery } from 'dexie';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { database, openDatabase } from './database.ts';
import { changeGeneration, growGeneration, originsOf, sayRead } from './generations.ts';
import type { GenerationAsked, GenerationRow } from './study-rows.ts';

openDatabase('generations');

const asked = (more: Partial<GenerationAsked>): GenerationAsked => ({
  pattern: 'section',
  patternName: 'Section',
  values: [],
  along: [],
  messages: [],
  service: 'endpoint',
  model: '',
  finish: 'running',
  problem: '',
  note: '',
  ms: 0,
  into: 'sheet',
  readAs: 'paragraphs',
  taken: 'no',
  group: 'g',
  ...more,
});

const row = (id: string, more: Partial<GenerationRow> = {}): GenerationRow => ({
  id,
  siteId: 's',
  postId: 'p',
  at: '2026-11-02T09:00:00Z',
  recipe: 'pattern',
  title: id,
  input: '',
  output: 'The ferry runs at high water.',
  ...more,
});

beforeEach(async () => {
  await database().generations.clear();
  await database().generations.bulkAdd([
    row('brief', { recipe: 'brief' }),
    row('outline', { recipe: 'outline' }),
    row('left', { asked: asked({}) }),
    row('title', { asked: asked({ taken: 'part' }) }),
    row('taken', { asked: asked({ taken: 'whole', blocks: ['b1', 'b2'] }) }),
    row('elsewhere', { postId: 'q', asked: asked({ taken: 'whole', blocks: ['b9'] }) }),
  ]);
});

const originIds = async () => (await originsOf('s', 'p')).map(({ id }) => id).sort();

describe('texts that a draft has paragraphs of', () => {
  it('are those that came back for its brief and those that were taken into it', async () => {
    expect(await originIds()).toEqual(['brief', 'taken']);
    await changeGeneration('left', () => ({ taken: 'part', blocks: ['b3'] }));
    expect(await originIds()).toEqual(['brief', 'left', 'taken']);
  });

  it('are not looked at anew while another text is still coming, but when it is taken', async () => {
    const look = vi.fn(() => originsOf('s', 'p'));
    const seen: number[] = [];
    const watch = liveQuery(look).subscribe(({ length }) => seen.push(length));
    await vi.waitFor(() => expect(seen).toEqual([2]));
    for (const words of ['One.', 'One. Two.', 'One. Two. Three.'])
      await growGeneration('left', { output: words, title: 'One.' }, { ms: 1 });
    await changeGeneration('left', () => ({ taken: 'whole', blocks: ['b3'] }));
    await vi.waitFor(() => expect(seen.at(-1)).toBe(3));
    watch.unsubscribe();
    expect(look).toHaveBeenCalledTimes(2);
  });

  it('know which of their paragraphs were read, and forget it again', async () => {
    const takeBack = await sayRead('s', 'p', ['b1', 'b7']);
    const read = async () => (await originsOf('s', 'p')).map(({ id, read }) => [id, read ?? []]);
    // What came back for a brief may stand anywhere.
    expect(await read()).toEqual([
      ['brief', ['b1', 'b7']],
      ['taken', ['b1']],
    ]);
    await takeBack();
    expect(await read()).toEqual([
      ['brief', []],
      ['taken', []],
    ]);
  });
});
