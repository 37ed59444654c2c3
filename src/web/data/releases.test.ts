import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { emptyDraft, emptyFields } from '../../core/draft/index.ts';
import { unknownSite } from '../../core/site/index.ts';
import type { SendJob } from '../services/publishing.ts';
import { database, openDatabase } from './database.ts';
import { addPost, savePost } from './posts.ts';
import { keepSent, overrule, postsNowOut } from './releases.ts';
import { changeComment, keepAnswer } from './reviews.ts';
import { siteRow } from './sites.ts';
import { keepForGood, keepVersion } from './versions.ts';
import { keepWhereItLeads } from './where-it-leads.ts';

const NOW = '2026-11-29T12:00:00.000Z';
const document = {
  fields: {
    ...emptyFields(),
    title: 'Tides',
    slug: 'tides',
    status: 'scheduled' as const,
    date: '2026-11-30T09:00:00.000Z',
  },
  draft: emptyDraft(),
};
const job = (more: Partial<SendJob> = {}): SendJob => ({
  id: 'j',
  siteId: 's',
  postId: 'p',
  title: 'Tides',
  way: { kind: 'stand-in' },
  action: 'publish',
  state: 'done',
  url: 'http://127.0.0.1:4311/journal/tides',
  leadsTo: '',
  version: '"1"',
  tries: 1,
  next: '',
  due: '',
  problem: '',
  pictures: 0,
  placed: 0,
  isLater: false,
  revision: 'none',
  ordered: NOW,
  ended: NOW,
  ...more,
});
const row = async () => (await database().posts.get('p'))!;

beforeAll(async () => {
  await openDatabase('releases').open();
});
beforeEach(async () => {
  for (const table of database().tables) await table.clear();
  await addPost('s', 'p', NOW, document);
});

describe('a post that was sent', () => {
  it('is kept where it stands once, and neither its revision nor its text is touched', async () => {
    const { id: revision } = await keepVersion(
      { siteId: 's', postId: 'p' },
      { document, outline: [] },
      'published',
      NOW,
    );
    expect((await keepSent([job({ revision })])).map(({ id }) => id)).toEqual(['j']);
    expect(await keepSent([job({ revision })])).toEqual([]);
    expect(await row()).toMatchObject({
      revision: 1,
      release: { versionId: revision, out: '2026-11-30T09:00:00.000Z', withdrawn: false },
    });
    // What is typed meanwhile is saved over the same row, and where it stands stays known.
    await savePost({ id: 'p', revision: 1, now: NOW, document, outline: [] });
    expect((await row()).release?.url).toBe(job().url);
  });
  it('is of no concern to a post of another site, or to one that is gone', async () => {
    expect(
      await keepSent([job({ siteId: 'other' }), job({ postId: 'gone' }), job({ state: 'failed' })]),
    ).toEqual([]);
    expect((await row()).release).toBeUndefined();
  });
  it('is withdrawn and put back as it was sent', async () => {
    await keepSent([job()]);
    await keepSent([job({ action: 'withdraw', ended: '2026-11-29T13:00:00.000Z' })]);
    expect((await row()).release?.withdrawn).toBe(true);
    await keepSent([job({ action: 'restore', ended: '2026-11-29T14:00:00.000Z' })]);
    expect((await row()).release).toMatchObject({ withdrawn: false, versionId: 'none' });
  });
  it('leads on while it is withdrawn, and no longer', async () => {
    await database().sites.put({ ...siteRow('s', unknownSite()), addressPattern: '/journal/{slug}' });
    const leads = async () =>
      ((await database().sites.get('s'))?.redirects ?? []).map(({ from, to }) => [from, to]);
    const out = { out: '2026-11-01T09:00:00.000Z' };
    await keepSent([job()]);
    await database().posts.update('p', { release: { ...(await row()).release!, ...out } });
    const path = `/journal/${document.fields.slug}`;
    await keepWhereItLeads(job({ action: 'withdraw', leadsTo: '/journal/other' }));
    expect(await leads()).toEqual([[path, '/journal/other']]);
    await keepWhereItLeads(job({ action: 'restore' }));
    expect(await leads()).toEqual([]);
    await keepWhereItLeads(job({ action: 'withdraw' }));
    expect(await leads()).toEqual([[path, null]]);
    await keepWhereItLeads(job());
    expect(await leads()).toEqual([]);
    // What readers never had leads nowhere.
    await database().posts.update('p', {
      release: { ...(await row()).release!, out: '2030-01-01T09:00:00.000Z' },
    });
    await keepWhereItLeads(job({ action: 'withdraw' }));
    expect(await leads()).toEqual([]);
  });
  it('is out once its time has come', async () => {
    const { id: revision } = await keepVersion(
      { siteId: 's', postId: 'p' },
      { document, outline: [] },
      'published',
      NOW,
    );
    await keepSent([job({ revision })]);
    expect(await postsNowOut(NOW)).toEqual([]);
    expect((await postsNowOut('2026-11-30T09:00:00.000Z')).map(({ id }) => id)).toEqual(['p']);
  });
});

describe('the version that was sent', () => {
  it('stays, though the same text was kept before for a while only', async () => {
    const post = { siteId: 's', postId: 'p' };
    const first = await keepVersion(post, { document, outline: [] }, 'time', NOW);
    await keepForGood(first.id);
    expect((await database().versions.get(first.id))?.reason).toBe('published');
    const named = await keepVersion(post, { document, outline: [] }, 'named', NOW, 'As it went out');
    await keepForGood(named.id);
    expect(await database().versions.get(named.id)).toMatchObject({
      name: 'As it went out',
      reason: 'named',
    });
  });
});

describe('what is said of a post beside its text', () => {
  it('is let pass with a reason, and held back again without one', async () => {
    await overrule('p', 'words', ' A notice. ', NOW);
    expect((await row()).overruled).toEqual([{ item: 'words', why: 'A notice.', at: NOW }]);
    await overrule('p', 'words', '', NOW);
    expect((await row()).overruled).toEqual([]);
  });
  it('comes from reviewers once, is done and opened again; of a post that is gone nothing is kept', async () => {
    const comment = {
      id: 'c',
      reviewer: 'Tobias',
      at: NOW,
      quote: null,
      text: 'Why?',
      proposal: null,
      state: 'open' as const,
      replies: [],
    };
    const answer = { postId: 'p', comments: [comment], verdicts: [] };
    expect(await keepAnswer(answer)).toEqual({ title: 'Tides', fresh: 1 });
    expect(await keepAnswer(answer)).toEqual({ title: 'Tides', fresh: 0 });
    await changeComment('p', 'c', (one) => ({ ...one, state: 'done' }));
    expect((await row()).review?.comments[0].state).toBe('done');
    expect(await keepAnswer({ ...answer, postId: 'constructor' })).toBeNull();
  });
});
