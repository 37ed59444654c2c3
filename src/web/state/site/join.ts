import { comparablePath } from '../../../core/listing/index.ts';
import { datesOfGoingOut } from '../../../core/release/index.ts';
import { withRedirect } from '../../../core/site/index.ts';
import { changeRow } from '../../data/change-row.ts';
import { database } from '../../data/database.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { loadPost, setDeleted } from '../../data/posts.ts';
import { keepForGood, keepVersion } from '../../data/versions.ts';
import { standIn } from '../../services/publishing.ts';
import type { PlannedJoin } from '../../workers/site-join.ts';
import { failureInWords } from '../attempt.ts';
import { changeOtherPost, rewriteOtherPost } from '../post/change-other-post.ts';
import { orderAgain, releaseBy, wayOf } from '../post/publish-post.ts';
import { lookAtSending, sentQuietly } from '../sending.ts';
import { allTakenBack, type TakeBack } from '../undo.ts';
import { findReleases, type Resent, resendOrdered, sendAsBefore, sendVersion } from './resend.ts';
import { tellBlog } from './tell-blog.ts';

/** What came of joining two posts. */
export interface Joined {
  /** Titles of posts whose links could not follow. */
  left: string[];
  /** Whether readers get the joined post: it was handed over. */
  isSent: boolean;
  /** Whether the other was withdrawn where it was published. */
  isWithdrawn: boolean;
  /** Titles of posts that readers have with links that lead on by a redirect now. */
  unsent: string[];
  /** Why the blog was not told of the redirect; empty: it was, or there is none beside. */
  untold: string;
  takeBack: TakeBack;
}

const CHANGED =
  'One of the two posts was changed in the meantime, in another tab perhaps. Look at them again.';

async function refuseStale({ keeper, other, revisions }: PlannedJoin): Promise<void> {
  const rows = await database().posts.bulkGet([keeper, other]);
  if (rows[0]?.revision !== revisions.keeper || rows[1]?.revision !== revisions.other)
    throw new Error(CHANGED);
}

const asJoined = async ({ keeper, titles, document, revisions }: PlannedJoin): Promise<TakeBack> => {
  const back = await rewriteOtherPost(
    keeper,
    `Before “${titles.other}” was joined with it`,
    (before, revision) => {
      if (revision !== revisions.keeper) throw new Error(CHANGED);
      return { ...document, fields: { ...document.fields, status: before.fields.status } };
    },
  );
  return back ?? (() => '');
};

/** Takes the sections over that were picked; the other post stays as it is. Answers the way back. */
export async function takeSectionsOver(plan: PlannedJoin): Promise<TakeBack> {
  await refuseStale(plan);
  return asJoined(plan);
}

/** Sends the joined post to those who read the one that stays. */
async function sendJoined(
  site: SiteRow,
  postId: string,
): Promise<{ sent: Resent | null; back: TakeBack | null }> {
  const way = wayOf(site);
  const loaded = await loadPost(postId);
  const release = way && loaded ? releaseBy(way, loaded.row.release) : undefined;
  if (!loaded || !release || release.withdrawn) return { sent: null, back: null };
  const now = new Date().toISOString();
  const dates = datesOfGoingOut(loaded.row.fields, release.out, { kind: 'now' }, now);
  const back = await changeOtherPost(postId, [], '', dates);
  const fields = { ...loaded.row.fields, ...dates };
  const version = await keepVersion(
    { siteId: site.id, postId },
    { document: { fields, draft: loaded.draft }, outline: loaded.outline },
    'time',
    now,
  );
  if (!(await sendVersion(site, postId, version))) return { sent: null, back };
  await keepForGood(version.id);
  return { sent: { postId, before: release, versionId: version.id }, back };
}

/**
 * Joins two posts as it was planned: the one that stays has the sections that were picked, links of all posts follow, readers of the other are
 * led to it, and the other lies in the trash. Where posts are sent out, the joined one goes to its readers and the other is withdrawn.
 * All of it has one way back. Refused where one of the two was changed since.
 */
export async function joinPosts(siteId: string, plan: PlannedJoin): Promise<Joined> {
  const { keeper, other, mend, redirect, titles } = plan;
  const { sites, posts } = database();
  const site = await sites.get(siteId);
  if (!site) throw new Error('The site is gone.');
  if (plan.problems.length > 0) throw new Error(plan.problems.join(' '));
  await findReleases(site, [keeper, other, ...mend.map(({ postId }) => postId)]);
  await refuseStale(plan);
  const way = wayOf(site);
  // Before anything is touched: is there anybody to hand the posts to?
  if (way && redirect) await standIn();
  const backs: TakeBack[] = [await asJoined(plan)];
  const left: string[] = [];
  for (const { postId, title, edits } of mend) {
    try {
      const back = await changeOtherPost(postId, edits, `Before its links followed to “${titles.keeper}”`);
      if (back) backs.push(back);
    } catch (error) {
      console.error(`The links of ${postId} could not follow:`, error);
      left.push(title);
    }
  }
  if (redirect) {
    const why = `Joined with “${titles.keeper}”`;
    const before = site.redirects ?? [];
    await changeRow(sites, siteId, ({ redirects = [] }) => ({
      redirects: withRedirect(redirects, { ...redirect, since: new Date().toISOString(), why }),
    }));
    backs.push(async () => {
      await changeRow(sites, siteId, ({ redirects = [] }) => ({
        redirects: redirects
          .filter(({ from }) => from !== redirect.from)
          // What had led to the other post leads there again.
          .map((one) => {
            const was = before.find(({ from }) => from === one.from);
            return was?.to && comparablePath(was.to) === redirect.from && one.to === redirect.to ? was : one;
          }),
      }));
    });
  }
  const row = await posts.get(other);
  const release = way && row ? releaseBy(way, row.release) : undefined;
  const stands = release && !release.withdrawn ? release : null;
  const unfiled = await changeOtherPost(other, [], '', { status: 'draft' });
  if (unfiled) backs.push(unfiled);
  await setDeleted([other], new Date().toISOString());
  backs.push(() => setDeleted([other], ''));
  let untold = redirect ? await tellBlog(siteId) : '';
  const otherPost = { siteId, id: other, title: titles.other };
  let sent: Resent | null = null;
  let isWithdrawn = false;
  let anew: Awaited<ReturnType<typeof resendOrdered>> = { resent: [], unsent: [] };
  try {
    const joined = await sendJoined(site, keeper);
    sent = joined.sent;
    if (joined.back) backs.push(joined.back);
    if (stands) {
      sentQuietly(other);
      await orderAgain(otherPost, site, stands, 'withdraw', redirect?.to ?? '');
      isWithdrawn = true;
    }
    const ids = mend.map(({ postId }) => postId);
    if (redirect) anew = await resendOrdered(site, ids, new Map(), new Map([[redirect.from, redirect.to]]));
  } catch (error) {
    // All that is here is joined, and can be taken back: what did not get through is said.
    untold = `Not all of it was handed over: ${failureInWords(error)}`;
  }
  const { resent, unsent } = anew;
  const isUnderWay = sent !== null || isWithdrawn || resent.length > 0;
  if (isUnderWay) await lookAtSending();
  const takeBack = async () => {
    if (isUnderWay) await lookAtSending();
    const stays = await allTakenBack(backs)();
    const problem = redirect ? await tellBlog(siteId) : '';
    if (stands && isWithdrawn) {
      sentQuietly(other);
      await orderAgain(otherPost, site, { ...stands, withdrawn: true }, 'restore');
    }
    await sendAsBefore(site, [...(sent ? [sent] : []), ...resent]);
    if (isUnderWay) await lookAtSending();
    return [stays, problem].filter((said) => typeof said === 'string' && said !== '').join(' ');
  };
  return { left, isSent: sent !== null, isWithdrawn, unsent, untold, takeBack };
}
