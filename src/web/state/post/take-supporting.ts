import type { TakeBack } from '../undo.ts';
import { rewriteOtherPost } from './change-other-post.ts';

/** Takes a query as a supporting keyword of a post; answers the way back, null where the post is gone or has it already. */
export const takeAsSupporting = (postId: string, query: string): Promise<TakeBack | null> =>
  rewriteOtherPost(postId, '', ({ fields, draft }) => {
    const known = [fields.keyword, ...fields.supporting].map((phrase) => phrase.toLowerCase());
    return known.includes(query.toLowerCase())
      ? { fields, draft }
      : { fields: { ...fields, supporting: [...fields.supporting, query] }, draft };
  });
