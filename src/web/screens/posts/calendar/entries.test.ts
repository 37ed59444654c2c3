import { describe, expect, it } from 'vitest';
import { emptyFields, type PostFields } from '../../../../core/draft/index.ts';
import { defaultReuseWishes } from '../../../../core/reuse/index.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { calendarEntries } from './entries.ts';

const post = (id: string, fields: Partial<PostFields>): PostRow => ({
  id,
  siteId: 's',
  revision: 1,
  changed: '',
  deleted: '',
  fields: { ...emptyFields(), title: id, ...fields },
});
const made: ReuseRow = {
  id: 'r',
  siteId: 's',
  postId: 'a',
  kind: 'thread',
  made: '',
  wishes: defaultReuseWishes(),
  parts: [],
  tags: [],
  sent: [{ channel: 'Newsletter', how: 'recorded', at: '2026-11-03T23:30:00Z' }],
  planned: '2026-12-01',
};

describe('what stands on the days of a calendar', () => {
  it('are posts by the clock of their site, whatever their status, and those that are out stay where they are', () => {
    const posts = [
      post('a', { date: '2026-12-01T23:30:00Z', status: 'scheduled' }),
      post('b', { date: '2026-12-01T08:00:00Z', status: 'published' }),
      post('none', {}),
      post('broken', { date: 'soon' }),
    ];
    const entries = calendarEntries(posts, [], 'Europe/Berlin');
    expect(entries.map(({ id, day, time, isMovable }) => [id, day, time, isMovable])).toEqual([
      ['b', '2026-12-01', '09:00', false],
      ['a', '2026-12-02', '00:30', true],
    ]);
  });
  it('are what is planned of Reuse and what was recorded, while their post is there', () => {
    const entries = calendarEntries(
      [post('a', {})],
      [made, { ...made, id: 'gone', postId: 'gone' }],
      'Europe/Berlin',
    );
    expect(entries.map(({ kind, title, day, isMovable }) => [kind, title, day, isMovable])).toEqual([
      ['sent', 'Newsletter: a', '2026-11-04', false],
      ['reuse', 'Thread: a', '2026-12-01', true],
    ]);
  });
  it('has a post without a title by something', () => {
    const [entry] = calendarEntries([post('x', { title: '', date: '2026-12-01' })], [], 'UTC');
    expect(entry).toMatchObject({ title: 'Untitled', day: '2026-12-01' });
  });
});
