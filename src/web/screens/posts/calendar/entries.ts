import type { Status } from '../../../../core/draft/index.ts';
import { localTime } from '../../../../core/release/index.ts';
import { dayIn } from '../../../../core/site/index.ts';
import type { PostRow } from '../../../data/post-rows.ts';
import type { ReuseRow } from '../../../data/reuse-rows.ts';
import { REUSE_NAMES } from '../../../ui/reuse-names.ts';

/** Something that stands on a day. */
export interface CalendarEntry {
  key: string;
  kind: 'post' | 'reuse' | 'sent';
  /** Of the post, or of what was made of one. */
  id: string;
  postId: string;
  title: string;
  /** `2026-12-01`. */
  day: string;
  /** On the clock of the site, `09:00`; empty: no time of day. */
  time: string;
  /** Posts only. */
  status: Status | null;
  /** Whether it can be put on another day. */
  isMovable: boolean;
}

const named = ({ fields: { title, slug } }: PostRow): string => title || slug || 'Untitled';

/** Everything that stands on a day: posts by their dates, what is planned and what was recorded of Reuse; in order. */
export function calendarEntries(
  posts: readonly PostRow[],
  reuses: readonly ReuseRow[],
  zone: string,
): CalendarEntry[] {
  const titles = new Map(posts.map((row) => [row.id, named(row)]));
  const own = posts.flatMap((row): CalendarEntry[] => {
    const { date, status } = row.fields;
    const local = date === '' ? '' : localTime(zone, date);
    if (local === '') return [];
    const at = { day: local.slice(0, 10), time: local.slice(11), isMovable: status !== 'published' };
    return [
      { key: `post ${row.id}`, kind: 'post', id: row.id, postId: row.id, title: named(row), status, ...at },
    ];
  });
  const made = reuses.flatMap(({ id, postId, kind, planned, sent }): CalendarEntry[] => {
    const post = titles.get(postId);
    // What was made of a post that is deleted waits with it.
    if (post === undefined) return [];
    const base = { id, postId, status: null, time: '' };
    const title = `${REUSE_NAMES[kind]}: ${post}`;
    return [
      ...(planned === ''
        ? []
        : [{ ...base, key: `reuse ${id}`, kind: 'reuse' as const, title, day: planned, isMovable: true }]),
      ...sent.flatMap(({ channel, at }, place): CalendarEntry[] => {
        const day = dayIn(zone, at);
        const words = `${channel}: ${post}`;
        return day === ''
          ? []
          : [{ ...base, key: `sent ${id} ${place}`, kind: 'sent', title: words, day, isMovable: false }];
      }),
    ];
  });
  return [...own, ...made].sort(
    (a, b) =>
      (a.day + a.time < b.day + b.time ? -1 : a.day + a.time > b.day + b.time ? 1 : 0) ||
      (a.key < b.key ? -1 : 1),
  );
}
