import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { WordLink } from '../../../ui/word-link.tsx';
import type { Upkeep } from '../../../workers/site-upkeep.ts';

/** A post by its title, with its status where readers cannot open it. */
export function PostLink({ id, found }: { id: string; found: Pick<Upkeep, 'posts'> }) {
  const post = found.posts.get(id);
  return (
    <>
      <WordLink quiet to={`/posts/${id}/write`}>
        {post?.title ?? id}
      </WordLink>
      {post && post.status !== 'published' && (
        <span className="text-soft"> ({STATUS_NAMES[post.status].toLowerCase()})</span>
      )}
    </>
  );
}
