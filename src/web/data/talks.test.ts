import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { defaultReuseWishes } from '../../core/reuse/index.ts';
import { database, openDatabase } from './database.ts';
import { removePosts } from './posts.ts';
import { withReplacedRows } from './replaced-rows.ts';
import { addReuse, changeReuse, reusesOf } from './reuses.ts';
import { changeTalk, keepRecording, keepTalk, recordingOf, removeTalk, talkOf } from './talks.ts';

const TALK = {
  postId: 'a',
  siteId: 's',
  name: 'tide.vtt',
  at: '2026-11-30T08:00:00Z',
  form: 'WebVTT' as const,
  cues: [{ start: 0, end: 1, speaker: '', text: 'the tide' }],
  address: '',
  kind: 'video' as const,
  title: '',
};
const RECORDING = { postId: 'a', siteId: 's', name: 'tide.mp3', blob: new Blob(['sound']) };

beforeEach(async () => {
  openDatabase('talks');
  await Promise.all(database().tables.map((table) => table.clear()));
});

describe('the talk of a post', () => {
  it('can be replaced, and comes back', async () => {
    expect(await talkOf('a')).toBeUndefined();
    await keepTalk(TALK);
    const takeBack = await keepTalk({ ...TALK, name: 'other.srt' });
    expect((await talkOf('a'))?.name).toBe('other.srt');
    await takeBack();
    expect((await talkOf('a'))?.name).toBe('tide.vtt');
  });
  it('is changed from how it stands: two fields at once lose nothing', async () => {
    await keepTalk(TALK);
    await Promise.all([
      changeTalk('a', { title: 'Tides' }),
      changeTalk('a', { address: 'https://t.example/' }),
    ]);
    expect(await talkOf('a')).toMatchObject({ title: 'Tides', address: 'https://t.example/' });
    await changeTalk('nobody', { title: 'x' });
    expect(await database().talks.count()).toBe(1);
  });
  it('that was brought since stays, whatever is taken back', async () => {
    const first = await keepTalk(TALK);
    await keepTalk({ ...TALK, name: 'later.vtt', at: '2026-11-30T09:00:00Z' });
    expect(await first()).toMatch(/stays/);
    expect((await talkOf('a'))?.name).toBe('later.vtt');
    const removed = await removeTalk('a');
    await keepTalk({ ...TALK, name: 'last.vtt', at: '2026-11-30T10:00:00Z' });
    expect(await removed()).toMatch(/stays/);
    expect((await talkOf('a'))?.name).toBe('last.vtt');
  });
  it('goes with its recording, and both come back', async () => {
    await keepTalk(TALK);
    await keepRecording(RECORDING);
    const takeBack = await removeTalk('a');
    expect([await talkOf('a'), await recordingOf('a')]).toEqual([undefined, undefined]);
    await takeBack();
    expect((await recordingOf('a'))?.name).toBe('tide.mp3');
    expect((await talkOf('a'))?.name).toBe('tide.vtt');
  });
  it('goes and comes back with its post', async () => {
    await keepTalk(TALK);
    await keepRecording(RECORDING);
    const back = await removePosts(['a']);
    expect(await database().talks.count()).toBe(0);
    expect(await database().recordings.count()).toBe(0);
    await back();
    expect([await database().talks.count(), await database().recordings.count()]).toEqual([1, 1]);
  });
});

describe('a recording', () => {
  it('is taken by no step that replaces everything else', async () => {
    await keepRecording(RECORDING);
    const { replaced } = await withReplacedRows(async () => {});
    expect([...replaced.keys()]).not.toContain('recordings');
  });
});

describe('what was made of a post', () => {
  it('is taken back as far as nothing was changed since: what went out stays recorded', async () => {
    await addReuse({
      id: 'r',
      siteId: 's',
      postId: 'a',
      kind: 'thread',
      made: '2026-11-30T08:00:00Z',
      wishes: defaultReuseWishes(),
      parts: [{ head: '', text: 'One.', from: [] }],
      tags: [],
      sent: [],
      planned: '',
    });
    const back = await changeReuse('r', () => ({ planned: '2026-12-24' }));
    await changeReuse('r', ({ sent }) => ({
      sent: [...sent, { channel: 'x', how: 'recorded', at: '2026-11-30T09:00:00Z' }],
    }));
    await changeReuse('r', () => ({ parts: [{ head: '', text: 'Two.', from: [] }] }));
    await back();
    const [row] = await reusesOf('s', 'a');
    expect([row.planned, row.sent.length, row.parts[0].text]).toEqual(['', 1, 'Two.']);
  });
});
