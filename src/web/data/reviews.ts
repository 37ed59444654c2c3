import { type Review, type ReviewAnswer, type ReviewComment, withAnswer } from '../../core/review/index.ts';
import { database } from './database.ts';

const NOTHING: Review = { comments: [], verdicts: [] };

/** Changes what was said of a post; answers how it stood before, or null where the post is gone. */
async function changeReview(postId: string, change: (review: Review) => Review): Promise<Review | null> {
  const { posts } = database();
  return database().transaction('rw', posts, async () => {
    const row = await posts.get(postId);
    if (row?.deleted !== '') return null;
    const before = row.review ?? NOTHING;
    await posts.update(postId, { review: change(before) });
    return before;
  });
}

/** Takes the answer of a reviewer in, once however often it comes. Answers the post's title and what is new; null: it is gone. */
export async function keepAnswer(answer: ReviewAnswer): Promise<{ title: string; fresh: number } | null> {
  const before = await changeReview(answer.postId, (review) => withAnswer(review, answer));
  if (!before) return null;
  const row = await database().posts.get(answer.postId);
  const fresh = (row?.review?.comments.length ?? 0) - before.comments.length;
  return { title: row?.fields.title || 'Untitled', fresh };
}

/** Changes one comment of a post. */
export const changeComment = async (
  postId: string,
  id: string,
  change: (comment: ReviewComment) => ReviewComment,
): Promise<void> => {
  await changeReview(postId, (review) => ({
    ...review,
    comments: review.comments.map((comment) => (comment.id === id ? change(comment) : comment)),
  }));
};
