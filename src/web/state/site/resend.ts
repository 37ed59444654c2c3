import { applyEdits } from '../../../core/criteria/index.ts';
import { finishedDraft } from '../../../core/outline/index.ts';
import { type Filing, movedLinkEdits, postPathOf } from '../../../core/site/index.ts';
import { database } from '../../data/database.ts';
import type { PostRelease, SiteRow, VersionRow } from '../../data/post-rows.ts';
import { loadPost } from '../../data/posts.ts';
import { keepForGood, keepVersion } from '../../data/versions.ts';
import { standIn } from '../../services/publishing.ts';
import { findRelease } from '../post/find-release.ts';
import { orderPublishing, releaseBy, wayOf } from '../post/publish-post.ts';
import { lookAtSending, sentQuietly } from '../sending.ts';

/** How a post was sent before it was sent anew, so that it can be sent so again. */
export interface Resent {
  postId: string;
  before: PostRelease;
  /** The version that went out anew. */
  versionId: string;
}

/**
 * Looks where published posts stand that were not sent from this browser, or from another that shares its blog, while their text here
 * is still the one there. What does not stand on the blog beside is left.
 */
export async function findReleases(site: SiteRow, ids: readonly string[]): Promise<void> {
  if (wayOf(site)?.kind !== 'stand-in' || ids.length === 0) return;
  // What was sent from elsewhere is heard of first: it says nothing of the text that readers have.
  await lookAtSending();
  const rows = await database().posts.bulkGet([...ids]);
  const sent = await database().versions.bulkGet(rows.map((row) => row?.release?.versionId ?? ''));
  const unknown = rows.flatMap((row, at) =>
    row && row.fields.status === 'published' && !sent[at] && !row.release?.withdrawn ? [row.id] : [],
  );
  if (unknown.length === 0) return;
  const address = (await standIn().catch(() => null))?.address;
  if (!address) return;
  for (const id of unknown) {
    const loaded = await loadPost(id);
    if (!loaded) continue;
    const content = {
      document: { fields: loaded.row.fields, draft: loaded.draft },
      outline: loaded.outline,
    };
    const look = () => findRelease({ siteId: site.id, id }, content, site, address);
    // A blog that is busy just then is asked once more.
    await look()
      .catch(look)
      .catch((error: unknown) => console.info('The post is not on the blog beside:', error));
  }
}

/** Sends a post as a version has it, over what stands there; answers whether there is something that it goes over. */
export async function sendVersion(site: SiteRow, postId: string, sent: VersionRow): Promise<boolean> {
  const way = wayOf(site);
  const row = await database().posts.get(postId);
  const release = way && row ? releaseBy(way, row.release) : undefined;
  if (!way || !release) return false;
  const draft = finishedDraft(sent.draft, sent.outline);
  sentQuietly(postId);
  await orderPublishing(
    { siteId: site.id, id: postId },
    { fields: sent.fields, draft },
    way,
    release,
    sent.id,
  );
  return true;
}

/**
 * Sends posts anew that readers have, as they have them but for where they are filed and where their links lead: what was written since
 * stays here. Answers those that were handed over, and the titles of published ones that could not be, as it is not known what of them
 * readers have.
 *
 * @param site as it was when the posts were sent
 * @param moves addresses that changed, path before in comparable form to path after
 */
export async function resendOrdered(
  site: SiteRow,
  ids: readonly string[],
  filings: ReadonlyMap<string, Filing>,
  moves: ReadonlyMap<string, string>,
): Promise<{ resent: Resent[]; unsent: string[] }> {
  const way = wayOf(site);
  const resent: Resent[] = [];
  const unsent: string[] = [];
  if (!way || ids.length === 0) return { resent, unsent };
  // What was sent a moment ago has another version there by now.
  await lookAtSending();
  const { posts, versions } = database();
  for (const id of ids) {
    const row = await posts.get(id);
    const release = row && releaseBy(way, row.release);
    const sent = release && !release.withdrawn ? await versions.get(release.versionId) : undefined;
    if (!release || !sent) {
      if (row?.fields.status === 'published' && !release?.withdrawn) unsent.push(row.fields.title);
      continue;
    }
    const edits = movedLinkEdits(sent.draft.blocks, {
      base: postPathOf(sent.fields, { ...site, pages: null }),
      host: site.baseAddress || null,
      moves,
    });
    const edited = applyEdits({ fields: sent.fields, draft: sent.draft }, edits);
    const fields = { ...edited.fields, ...filings.get(id) };
    if (edits.length === 0 && JSON.stringify(fields) === JSON.stringify(sent.fields)) continue;
    const version = await keepVersion(
      { siteId: site.id, postId: id },
      { document: { fields, draft: edited.draft }, outline: sent.outline },
      'time',
      new Date().toISOString(),
    );
    await sendVersion(site, id, version);
    await keepForGood(version.id);
    resent.push({ postId: id, before: release, versionId: version.id });
  }
  return { resent, unsent };
}

/** Sends posts again as they were sent before; one that was sent once more since stays as readers have it now. */
export async function sendAsBefore(site: SiteRow, resent: readonly Resent[]): Promise<void> {
  if (resent.length > 0) await lookAtSending();
  for (const { postId, before, versionId } of resent) {
    const row = await database().posts.get(postId);
    const now = row?.release?.versionId;
    const sent = await database().versions.get(before.versionId);
    // It may not have been told yet that it went out.
    if (sent && (now === versionId || now === before.versionId)) await sendVersion(site, postId, sent);
  }
}

/** Keeps where posts stand now on the blog beside, whose addresses follow its site's order: path before to path after, by post. */
export async function moveReleases(moved: readonly { id: string; to: string }[]): Promise<void> {
  const { posts } = database();
  await database().transaction('rw', posts, async () => {
    for (const { id, to } of moved) {
      const row = await posts.get(id);
      if (row?.release?.endpoint !== '' || !URL.canParse(row.release.url)) continue;
      await posts.update(id, { release: { ...row.release, url: new URL(to, row.release.url).href } });
    }
  });
}
