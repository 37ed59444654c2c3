import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { emptyDraft, emptyFields, type PostFields } from '../../../core/draft/index.ts';
import { unknownSite } from '../../../core/site/index.ts';
import { database, openDatabase } from '../../data/database.ts';
import { addIdeas, ideasOf } from '../../data/ideas.ts';
import { addPost, loadPost } from '../../data/posts.ts';
import { siteRow } from '../../data/sites.ts';
import { clockOn, movePost, planIdea, takeOffDay } from './move-post.ts';

const NOW = '2026-11-30T12:00:00.000Z';
const site = {
  ...siteRow('s', unknownSite()),
  zone: 'Europe/Berlin',
  // Files are saved: nobody holds a post back.
  publishing: { kind: 'zip' as const, endpoint: '' },
};
const dateOf = async (id: string) => (await loadPost(id))?.row.fields.date;
const add = (id: string, fields: Partial<PostFields>) =>
  addPost('s', id, NOW, { fields: { ...emptyFields(), title: id, ...fields }, draft: emptyDraft() });
/** Far enough ahead for any clock. */
const DAY = '2099-07-01';

beforeAll(async () => {
  await openDatabase('move-post').open();
});
beforeEach(async () => {
  for (const table of database().tables) await table.clear();
  await database().sites.put(site);
});

describe('a post on the calendar', () => {
  it('is put on a day in the morning by the clock of its site, then keeps its time, and goes back', async () => {
    await add('a', {});
    expect(await clockOn(site, 'a', DAY)).toBe(`${DAY}T09:00`);
    await movePost(site, 'a', `${DAY}T14:30`);
    expect(await dateOf('a')).toBe('2099-07-01T12:30:00.000Z');
    // The clocks are another hour behind in winter: the time of day stays.
    const back = await movePost(site, 'a', await clockOn(site, 'a', '2099-12-01'));
    expect(await dateOf('a')).toBe('2099-12-01T13:30:00.000Z');
    expect(await back()).toBe('');
    expect(await dateOf('a')).toBe('2099-07-01T12:30:00.000Z');
    await takeOffDay('a');
    expect(await dateOf('a')).toBe('');
  });
  it('stays where it is once it is out, and is put on no time that is over', async () => {
    await add('out', { status: 'published', date: '2026-01-01T08:00:00Z' });
    await add('a', {});
    await expect(movePost(site, 'out', `${DAY}T09:00`)).rejects.toThrow('“out” is out');
    await expect(movePost(site, 'a', '2020-01-01T09:00')).rejects.toThrow('That time is over');
    await expect(movePost(site, 'a', 'constructor')).rejects.toThrow('no day and time');
    await expect(movePost(site, 'nobody', `${DAY}T09:00`)).rejects.toThrow('gone');
    expect([await dateOf('out'), await dateOf('a')]).toEqual(['2026-01-01T08:00:00Z', '']);
  });
  it('comes of an idea, which is an idea again when that is taken back', async () => {
    const draft = {
      origin: 'hand',
      title: 'Ebb',
      line: '',
      keyword: 'ebb',
      phrases: [],
      opportunity: null,
      from: '',
    };
    const [idea] = await addIdeas('s', [draft as never], NOW, 'kept');
    const { id, takeBack } = await planIdea(site, idea, emptyFields(), `${DAY}T09:00`);
    expect((await loadPost(id))?.row.fields).toMatchObject({
      title: 'Ebb',
      date: '2099-07-01T07:00:00.000Z',
    });
    expect((await ideasOf('s'))[0]).toMatchObject({ stage: 'begun', postId: id });
    await takeBack();
    expect(await loadPost(id)).toBeNull();
    expect((await ideasOf('s'))[0]).toMatchObject({ stage: 'kept', postId: '' });
    // Its text is in the trash, should somebody have written some.
    expect((await database().posts.get(id))?.deleted).not.toBe('');
  });
});
