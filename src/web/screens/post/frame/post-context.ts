import { useOutletContext } from 'react-router';
import type { SiteRow } from '../../../data/post-rows.ts';
import type { PostSession } from '../../../state/post/post-session.ts';

/** What every step of a post is given. */
export interface PostContext {
  session: PostSession;
  site: SiteRow;
}

export const usePost = (): PostContext => useOutletContext<PostContext>();
