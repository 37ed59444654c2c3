import type { Draft } from '../../core/draft/index.ts';
import { freshStart, leftOver } from '../../core/site/index.ts';
import { database } from './database.ts';
import { addPost, loadPost } from './posts.ts';

/** Begins a post from another; answers its id, or null where the other is gone. */
export async function startFrom(originId: string, id: string, now: string): Promise<string | null> {
  const origin = await loadPost(originId);
  if (!origin) return null;
  const { row, draft } = origin;
  return addPost(row.siteId, id, now, freshStart({ fields: row.fields, draft }), originId);
}

/** What of a draft still stands as in the post it was begun from; null where it was begun from none, or that one is gone. */
export async function leftOverOf(
  postId: string,
  draft: Draft,
): Promise<{ title: string; blocks: string[] } | null> {
  const row = await database().posts.get(postId);
  const origin = row?.startedFrom ? await loadPost(row.startedFrom) : null;
  return origin && { title: origin.row.fields.title || 'Untitled', blocks: leftOver(draft, origin.draft) };
}

/** Says that what is left over of the other post may stay. */
export async function letLeftOverBe(postId: string, back?: string): Promise<string | undefined> {
  const before = (await database().posts.get(postId))?.startedFrom;
  await database().posts.update(postId, { startedFrom: back });
  return before;
}
