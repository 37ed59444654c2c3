import { mendedTranslations, type TranslationFault } from '../../../core/site/index.ts';
import { loadPost } from '../../data/posts.ts';
import { failureInWords } from '../attempt.ts';
import { changeOtherPost } from '../post/change-other-post.ts';
import { allTakenBack, type TakeBack } from '../undo.ts';

/**
 * Mends what is certain of the pairs of posts in several languages, post by post, and says how many posts were changed and the way back;
 * what was changed meanwhile is left to the writer.
 */
export async function mendTranslations(
  faults: readonly TranslationFault[],
): Promise<{ posts: number; back: TakeBack; problem: string }> {
  const byPost = new Map<string, TranslationFault[]>();
  for (const fault of faults)
    if (fault.mend) byPost.set(fault.postId, [...(byPost.get(fault.postId) ?? []), fault]);
  const backs: TakeBack[] = [];
  let problem = '';
  try {
    for (const [id, own] of byPost) {
      const loaded = await loadPost(id);
      if (!loaded) continue;
      const translations = mendedTranslations(loaded.row.fields.translations, own);
      const back = await changeOtherPost(id, [], 'before its languages were mended', { translations });
      if (back) backs.push(back);
    }
  } catch (error) {
    // What was mended before it has its way back all the same.
    problem = failureInWords(error);
  }
  return { posts: backs.length, back: allTakenBack(backs), problem };
}
