import type { PostFields } from '../../../core/draft/index.ts';
import { comparablePath } from '../../../core/listing/index.ts';
import { withoutRedirect, withRedirect } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database } from '../../data/database.ts';
import type { LinkingPost } from '../../workers/links.ts';
import { linksWorker } from '../../workers/links-client.ts';
import type { TakeBack } from '../undo.ts';
import { changeOtherPost } from './change-other-post.ts';
import type { PostSession } from './post-session.ts';

/** Whether a change of the slug is asked about first: readers know the address of a published post. */
export const asksForSlug = ({
  status,
  slug,
  canonical,
}: Pick<PostFields, 'status' | 'slug' | 'canonical'>): boolean =>
  // Under an address of its own the slug says nothing to readers.
  status === 'published' && slug !== '' && canonical === '';

/** Other posts of the site that link to an address, with the edits that lead them to another. */
export async function linkingPosts(session: PostSession, from: string, to: string): Promise<LinkingPost[]> {
  return (await linksWorker()).linking(session.siteId, session.id, comparablePath(from) ?? from, to);
}

/**
 * Gives a published post another slug: the links of other posts follow, each after a version of that post was kept, and the old
 * address leads to the new one. Answers one way back for all of it, and the titles of posts that could not be mended.
 */
export async function moveAddress(
  session: PostSession,
  { slug, from, to, mend }: { slug: string; from: string; to: string; mend: readonly LinkingPost[] },
): Promise<{ takeBack: TakeBack; left: string[] }> {
  const path = comparablePath(from) ?? from;
  const redirect = { from: path, to, since: new Date().toISOString(), why: 'The address changed' };
  const back: TakeBack[] = [session.change({ fields: { slug } })];
  // Another tab may have begun to write the post in the meantime: then nothing is changed here.
  if (session.document.fields.slug !== slug)
    throw new Error('The post is written in another tab: change its address there.');
  const { sites } = database();
  await changeRow(sites, session.siteId, ({ redirects = [] }) => ({
    redirects: withRedirect(redirects, redirect),
  }));
  back.push(async () => {
    await changeRow(sites, session.siteId, ({ redirects = [] }) => ({
      redirects: withoutRedirect(redirects, { from: path, to }),
    }));
  });
  const left: string[] = [];
  for (const { postId, title, edits } of mend) {
    try {
      const takeBack = await changeOtherPost(postId, edits, `Before its links followed to ${to}`);
      if (takeBack) back.push(takeBack);
      else left.push(title);
    } catch (error) {
      console.error(`The links of ${postId} could not be mended:`, error);
      left.push(title);
    }
  }
  const takeBack = async (): Promise<string> => {
    const stays: string[] = [];
    for (const one of back.reverse()) {
      const said = await one();
      if (typeof said === 'string' && said) stays.push(said);
    }
    return [...new Set(stays)].join(' ');
  };
  return { takeBack, left };
}
