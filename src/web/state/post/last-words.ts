import { toast } from 'sonner';
import { bringLastWordsIn } from '../../data/unsaved-words.ts';

/** Says that what was written in a post, and came second, is kept beside it. */
export const tellAside = (postId: string): void => {
  toast('This post was changed elsewhere. What you had written here is kept under Versions.', {
    id: `aside ${postId}`,
    duration: 15_000,
  });
};

/**
 * Puts the last words of visits of a post that ended too soon where they belong; `visit` is one that is under way. To be
 * called by who may write the post.
 */
export async function bringLastWords(postId: string, visit = ''): Promise<void> {
  const outcome = await bringLastWordsIn(postId, new Date().toISOString(), (one) => one === visit);
  if (outcome === 'aside') tellAside(postId);
}
