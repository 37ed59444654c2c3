import { leftOverOf } from '../../../data/start-from.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';

/** Blocks that still stand as in the post that this one was begun from; looked at anew with each save. */
export function useLeftOver(session: PostSession): { title: string; blocks: string[] } | null {
  const savedAt = useAppSelector((state) => state.openPost.savedAt);
  return useLiveQuery(() => leftOverOf(session.id, session.body), [session, savedAt]) ?? null;
}
