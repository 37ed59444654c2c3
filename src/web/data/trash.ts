import type { Draft } from '../../core/draft/index.ts';
import { database } from './database.ts';
import type { PostRow } from './post-rows.ts';
import { removePosts } from './posts.ts';

/** Days for which a deleted post can be had back. */
export const TRASH_DAYS = 30;

const deletedOf = (siteId: string) =>
  database().posts.where('[siteId+deleted]').between([siteId, ''], [siteId, '\uffff'], false, false);

/** How many posts of a site are in its trash. */
export const countDeleted = (siteId: string): Promise<number> => deletedOf(siteId).count();

/** Posts of a site that were deleted, those that went last first. */
export async function deletedPosts(siteId: string): Promise<PostRow[]> {
  const rows = await deletedOf(siteId).toArray();
  return rows.sort((a, b) => (a.deleted < b.deleted ? 1 : -1));
}

/** The text of a post, deleted or not; null where there is none. */
export const textOf = async (postId: string): Promise<Draft | null> =>
  (await database().bodies.get(postId))?.draft ?? null;

/** Takes out posts whose time in the trash is over, and all that belongs to them. */
export async function emptyOldTrash(now: number): Promise<void> {
  const before = new Date(now - TRASH_DAYS * 24 * 60 * 60 * 1000).toISOString();
  const gone = await database()
    .posts.filter(({ deleted }) => deleted !== '' && deleted < before)
    .primaryKeys();
  await removePosts(gone);
}
