import { applyEdits, type DraftEdit } from '../../../core/criteria/index.ts';
import type { PostDocument, PostFields } from '../../../core/draft/index.ts';
import { loadPost, StaleWrite, savePost } from '../../data/posts.ts';
import { keepVersion } from '../../data/versions.ts';
import type { TakeBack } from '../undo.ts';
import { lastVisitWritten, takeBackInPost } from './open-sessions.ts';

/** Times that a change is tried anew where another tab wrote the post in between. */
const ATTEMPTS = 3;

/**
 * Changes a post that is not in hand by edits, and fields of it: where its text changes, a version of how it was is kept first.
 * Answers the way back; null where nothing changes, as the words that the edits are for are not there any more.
 */
export const changeOtherPost = (
  id: string,
  edits: readonly DraftEdit[],
  why: string,
  fields: Partial<PostFields> = {},
): Promise<TakeBack | null> =>
  rewriteOtherPost(id, why, (before) => {
    const edited = applyEdits(before, edits);
    return { ...edited, fields: { ...edited.fields, ...fields } };
  });

/** The same for a post that becomes another: `make` gets it as it stands, once more where another tab wrote it in between. */
export async function rewriteOtherPost(
  id: string,
  why: string,
  make: (before: PostDocument, revision: number) => PostDocument,
): Promise<TakeBack | null> {
  await lastVisitWritten(id);
  for (let attempt = 1; ; attempt++) {
    const loaded = await loadPost(id);
    if (!loaded) return null;
    const { row, draft, outline } = loaded;
    const before = { document: { fields: row.fields, draft }, outline };
    const document = make(before.document, row.revision);
    const isSameText = JSON.stringify(document.draft.blocks) === JSON.stringify(draft.blocks);
    if (isSameText && JSON.stringify(document.fields) === JSON.stringify(row.fields)) return null;
    const now = new Date().toISOString();
    if (!isSameText) await keepVersion({ siteId: row.siteId, postId: id }, before, 'named', now, why);
    try {
      await savePost({ id, revision: row.revision, now, document, outline });
      return () => takeBackInPost(id, before, { document, outline });
    } catch (error) {
      if (!(error instanceof StaleWrite) || attempt === ATTEMPTS) throw error;
    }
  }
}
