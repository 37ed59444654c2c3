import { type Filing, linkMoves } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database } from '../../data/database.ts';
import { hasLists } from '../../data/site-around.ts';
import type { PlannedOrder } from '../../workers/site-order.ts';
import { failureInWords } from '../attempt.ts';
import { changeOtherPost } from '../post/change-other-post.ts';
import { lookAtSending } from '../sending.ts';
import { allTakenBack, type TakeBack } from '../undo.ts';
import { findReleases, moveReleases, type Resent, resendOrdered, sendAsBefore } from './resend.ts';
import { tellBlog } from './tell-blog.ts';

/** What came of a change of a blog's order. */
export interface Arranged {
  /** Titles of posts that could not be changed. */
  left: string[];
  /** How many posts were sent anew, as readers have them. */
  sent: number;
  /** Titles of published posts that were not: they wait to be published by hand. */
  unsent: string[];
  /** Why the blog was not told; empty: it was, or there is none beside. */
  untold: string;
  takeBack: TakeBack;
}

const isFiledSo = ({ category, categories }: Filing, was: Filing): boolean =>
  category === was.category && JSON.stringify(categories) === JSON.stringify(was.categories);

/**
 * Makes a change of a blog's order that was planned: the site's categories, pattern and redirects, then the posts, filed elsewhere or with
 * links that follow; then the blog beside is told, and posts that readers have are sent anew. All of it has one way back.
 * `tell` hears how far it is.
 */
export async function arrange(
  siteId: string,
  { arrangement, mend, revision }: PlannedOrder,
  tell: (done: number, of: number) => void = () => {},
): Promise<Arranged> {
  const { sites, posts } = database();
  const site = await sites.get(siteId);
  if (!site) throw new Error('The site is gone.');
  const { after, refiled, moved, ownOriginals, redirects } = arrangement;
  const filings = new Map<string, Filing>(refiled.map((post) => [post.id, post.after]));
  const edits = new Map(mend.map((post) => [post.postId, post.edits]));
  const titles = new Map([
    ...mend.map((post) => [post.postId, post.title] as const),
    ...refiled.map((post) => [post.id, post.title] as const),
  ]);
  const ids = [...new Set([...filings.keys(), ...edits.keys(), ...ownOriginals])];
  await findReleases(site, ids);
  const backs: TakeBack[] = [];
  backs.push(
    await changeRow(sites, siteId, (now) => {
      // A redirect or a category that came since would be lost.
      if (now.revision !== revision)
        throw new Error('The site was changed in the meantime, in another tab perhaps. Look at it again.');
      return { categories: after.categories, addressPattern: after.addressPattern, redirects };
    }),
  );
  const left: string[] = [];
  for (const [at, id] of ids.entries()) {
    const was = refiled.find((post) => post.id === id)?.before;
    try {
      const row = await posts.get(id);
      // It was filed anew since: that stays.
      if (was && row && !isFiledSo(row.fields, was)) {
        left.push(row.fields.title);
        filings.delete(id);
        continue;
      }
      const fields = { ...filings.get(id), ...(ownOriginals.includes(id) ? { canonical: '' } : {}) };
      const back = await changeOtherPost(
        id,
        edits.get(id) ?? [],
        'Before its links followed pages that moved',
        fields,
      );
      if (back) backs.push(back);
    } catch (error) {
      console.error(`The post ${id} could not be changed:`, error);
      left.push(titles.get(id) ?? id);
    }
    tell(at + 1, ids.length);
  }
  const movedPosts = moved.flatMap(({ id, from, to }) => (id === null ? [] : [{ id, from, to }]));
  const follows = hasLists(site);
  const sent: { resent: Resent[]; unsent: string[] } = { resent: [], unsent: [] };
  let untold = '';
  try {
    untold = await tellBlog(siteId);
    if (follows && untold === '') await moveReleases(movedPosts);
    if (untold === '') Object.assign(sent, await resendOrdered(site, ids, filings, linkMoves(moved)));
    if (sent.resent.length > 0) await lookAtSending();
  } catch (error) {
    // The order is changed here all the same, and goes back by the same way.
    console.error('The blog could not be told of its order:', error);
    untold = `The blog was not told of all of it. ${failureInWords(error)}`;
  }
  const { resent, unsent } = sent;
  const takeBack = async () => {
    const stays = await allTakenBack(backs)();
    const problem = await tellBlog(siteId);
    if (follows && problem === '') await moveReleases(movedPosts.map(({ id, from }) => ({ id, to: from })));
    await sendAsBefore(site, resent);
    if (resent.length > 0) await lookAtSending();
    return [stays, problem].filter((said) => typeof said === 'string' && said !== '').join(' ');
  };
  return { left, sent: resent.length, unsent, untold, takeBack };
}
