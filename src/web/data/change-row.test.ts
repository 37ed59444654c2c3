import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyFields } from '../../core/draft/index.ts';
import type { IdeaDraft } from '../../core/research/index.ts';
import { database, openDatabase } from './database.ts';
import { addIdeas, beginIdea, changeIdea, ideasOf, orderIdeas } from './ideas.ts';
import { addToList, changeList, listsOf, moveList, removeList } from './lists.ts';
import { addPost, loadPost } from './posts.ts';
import {
  addSite,
  allSites,
  changeHouse,
  changeSite,
  currentSite,
  ensureSite,
  goToSite,
  removeSite,
} from './sites.ts';

const NOW = '2026-11-01T09:00:00Z';
let siteId = '';

beforeEach(async () => {
  openDatabase('rows');
  await Promise.all(database().tables.map((table) => table.clear()));
  siteId = (await ensureSite()).id;
});

const idea = (title: string): IdeaDraft => ({
  origin: 'hand',
  title,
  line: '',
  keyword: `${title} keyword`,
  phrases: [`${title} keyword`, 'other'],
  opportunity: null,
  from: '',
});

describe('lists', () => {
  const list = async () => (await listsOf(siteId))[0];
  it('keep two changes in quick succession, and take each back by itself', async () => {
    const { list: made } = await addToList(siteId, { name: 'Tides', region: 'GB' }, ['x', 'a', 'y'], NOW);
    const off = (phrase: string) =>
      changeList(made.id, ({ phrases }) => ({ phrases: phrases.filter((each) => each !== phrase) }));
    const [backX] = await Promise.all([off('x'), off('y')]);
    expect((await list()).phrases).toEqual(['a']);
    expect(await backX()).toBe('');
    expect((await list()).phrases).toEqual(['x', 'a']);
  });
  it('keep what was written after an addition that is taken back', async () => {
    const { list: made } = await addToList(siteId, { name: 'Tides', region: 'GB' }, ['a'], NOW);
    const { undo } = await addToList(siteId, { id: made.id }, ['b', 'c'], NOW);
    await changeList(made.id, () => ({ notes: 'Photos on Friday' }));
    await undo();
    expect(await list()).toMatchObject({ phrases: ['a'], notes: 'Photos on Friday' });
  });
  it('that was made for phrases goes with them, unless it was written in since', async () => {
    const { undo } = await addToList(siteId, { name: 'Short', region: 'GB' }, ['a'], NOW);
    await undo();
    expect(await listsOf(siteId)).toEqual([]);
  });
  it('take phrases of their own site alone', async () => {
    const { list: made } = await addToList(siteId, { name: 'Tides', region: 'GB' }, ['a'], NOW);
    await expect(addToList('other', { id: made.id }, ['b'], NOW)).rejects.toThrow(/another site/);
    expect((await list()).phrases).toEqual(['a']);
  });
  it('change places, and come back when they were taken out', async () => {
    for (const name of ['one', 'two', 'three']) await addToList(siteId, { name, region: 'GB' }, [], NOW);
    const names = async () => (await listsOf(siteId)).map(({ name }) => name);
    const [, second] = await listsOf(siteId);
    await moveList(siteId, second.id, -1);
    expect(await names()).toEqual(['two', 'one', 'three']);
    const back = await removeList(second.id);
    expect(await names()).toEqual(['one', 'three']);
    await back();
    expect(await names()).toEqual(['two', 'one', 'three']);
  });
});

describe('ideas', () => {
  it('begin their post with the working title as it was typed last', async () => {
    const [row] = await addIdeas(siteId, [idea('Old title')], NOW);
    const typed = changeIdea(row.id, () => ({ title: 'Typed last' }));
    const begun = beginIdea(row.id, emptyFields(), 'p', NOW);
    await typed;
    expect(await begun).toBe('p');
    expect((await loadPost('p'))!.row.fields).toMatchObject({
      title: 'Typed last',
      keyword: 'Old title keyword',
      supporting: ['other'],
    });
    expect((await ideasOf(siteId))[0]).toMatchObject({ title: 'Typed last', stage: 'begun', postId: 'p' });
    expect(await beginIdea('gone', emptyFields(), 'q', NOW)).toBeNull();
  });
  it('keep a line typed while they were decided on, also when that is taken back', async () => {
    const [row] = await addIdeas(siteId, [idea('Tides')], NOW);
    const back = await changeIdea(row.id, () => ({ stage: 'dropped' }));
    await changeIdea(row.id, () => ({ line: 'When to cross' }));
    await back();
    expect((await ideasOf(siteId))[0]).toMatchObject({ stage: 'new', line: 'When to cross' });
  });
  it('are ordered by the places that they have', async () => {
    const rows = await addIdeas(siteId, [idea('a'), idea('b'), idea('c')], NOW);
    await orderIdeas([rows[2].id, rows[0].id]);
    expect((await ideasOf(siteId)).map(({ title }) => title)).toEqual(['c', 'b', 'a']);
  });
});

describe('a site', () => {
  it('that was taken out comes back alone: what was written elsewhere since stays', async () => {
    await addSite('second', 'Second', NOW);
    await addPost('second', 'p', NOW);
    await addPost(siteId, 'q', NOW);
    const back = await removeSite('second');
    expect(await loadPost('p')).toBeNull();
    await database().posts.update('q', { fields: { ...emptyFields(), title: 'Written since' } });
    await changeSite(siteId, { name: 'Named since' });
    await back();
    expect((await loadPost('p'))?.row.siteId).toBe('second');
    expect((await loadPost('q'))?.row.fields.title).toBe('Written since');
    expect((await allSites()).map(({ name }) => name)).toEqual(['Named since', 'Second']);
  });
  it('takes a change of its rules back field by field', async () => {
    const back = await changeHouse(siteId, (house) => ({ ...house, tone: 'warm', authors: ['Ada'] }));
    await changeHouse(siteId, (house) => ({ ...house, authors: [...house.authors, 'Bo'], offer: 'Rent' }));
    const { revision } = (await currentSite())!;
    expect(await back()).toBe('');
    const site = (await currentSite())!;
    expect(site.house).toMatchObject({ tone: '', authors: ['Bo'], offer: 'Rent' });
    expect(site.revision).toBe(revision + 1);
  });
  it('is each tab’s own: another tab that goes elsewhere does not move this one', async () => {
    await addSite('second', 'Second', NOW);
    await goToSite(siteId, '2026-11-01T10:00:00Z');
    // Another tab, which remembers for itself.
    await changeSite('second', { opened: '2026-11-01T11:00:00Z' });
    expect((await currentSite())?.id).toBe(siteId);
  });
});
