import type { PostFields } from '../../../core/draft/index.ts';
import { instantAt, localTime } from '../../../core/release/index.ts';
import { database } from '../../data/database.ts';
import { beginIdea, changeIdea } from '../../data/ideas.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { setDeleted } from '../../data/posts.ts';
import type { IdeaRow } from '../../data/research-rows.ts';
import { zoneOf } from '../../data/zone-of.ts';
import type { TakeBack } from '../undo.ts';
import { changeOtherPost } from './change-other-post.ts';
import { wayOf } from './publish-post.ts';
import { schedulePosts } from './schedule-posts.ts';

/** At which time a post goes out that was put on a day without one. */
const MORNING = '09:00';

/** A time on a day: that of before, else in the morning. */
const timeOn = (day: string, zone: string, before: string): string =>
  `${day}T${before === '' ? MORNING : localTime(zone, before).slice(11) || MORNING}`;

/** The clock of a post that is put on a day: the time that it had, else in the morning. */
export async function clockOn(site: SiteRow, postId: string, day: string): Promise<string> {
  const row = await database().posts.get(postId);
  return timeOn(day, zoneOf(site), row?.fields.date ?? '');
}

/**
 * Puts a post on another day and time, on the clock of its site. One that is scheduled is handed over anew for it; of one that is not ready
 * it is the day for which it is planned. Answers the way back. Throws a sentence where it cannot be put there.
 */
export async function movePost(site: SiteRow, id: string, local: string): Promise<TakeBack> {
  const row = await database().posts.get(id);
  if (!row) throw new Error('The post is gone.');
  const { status, date, title } = row.fields;
  if (status === 'published') throw new Error(`“${title}” is out: its day is what it was.`);
  const zone = zoneOf(site);
  const instant = instantAt(zone, local);
  if (instant === '') throw new Error('That is no day and time.');
  if (Date.parse(instant) <= Date.now()) throw new Error('That time is over: choose one to come.');
  if (status === 'scheduled' && wayOf(site)) {
    await handOver(site, id, local);
    return async () => {
      const now = await database().posts.get(id);
      if (now?.fields.status !== 'scheduled' || now.fields.date !== instant)
        return 'It was moved once more since: it stays where it is.';
      if (Date.parse(date) <= Date.now()) return 'The time that it had before is over: it stays where it is.';
      await handOver(site, id, localTime(zone, date));
      return '';
    };
  }
  const back = await changeOtherPost(id, [], '', { date: instant });
  return back ?? (() => '');
}

async function handOver(site: SiteRow, id: string, local: string): Promise<void> {
  const time = { local, instant: instantAt(zoneOf(site), local) };
  const { left } = await schedulePosts(site, [{ id, time }]);
  if (left.length > 0) throw new Error(`“${left[0]}” was changed in the meantime. Try it again.`);
}

/** Takes a post that is not scheduled off its day; answers the way back. */
export const takeOffDay = async (id: string): Promise<TakeBack> =>
  (await changeOtherPost(id, [], '', { date: '' })) ?? (() => '');

/** Begins the post of an idea and plans it for a day. Answers its id and the way back, which puts the post into the trash. */
export async function planIdea(
  site: SiteRow,
  idea: IdeaRow,
  house: PostFields,
  local: string,
): Promise<{ id: string; takeBack: TakeBack }> {
  const date = instantAt(zoneOf(site), local);
  if (Date.parse(date) <= Date.now()) throw new Error('That time is over: choose one to come.');
  const now = new Date().toISOString();
  const id = await beginIdea(idea.id, { ...house, date }, crypto.randomUUID(), now);
  if (id === null) throw new Error('The idea is gone.');
  return {
    id,
    takeBack: async () => {
      await setDeleted([id], new Date().toISOString());
      await changeIdea(idea.id, ({ postId }) =>
        postId === id ? { stage: idea.stage, postId: idea.postId } : {},
      );
    },
  };
}
