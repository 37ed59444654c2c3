import { finishedDraft } from '../../../core/outline/index.ts';
import { datesOfGoingOut, type PlannedTime } from '../../../core/release/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { loadPost, StaleWrite, savePost } from '../../data/posts.ts';
import { keepForGood, keepVersion } from '../../data/versions.ts';
import { zoneOf } from '../../data/zone-of.ts';
import { standIn } from '../../services/publishing.ts';
import { lookAtSending } from '../sending.ts';
import { lastVisitWritten, takeBackInPost } from './open-sessions.ts';
import { orderPublishing, releaseBy, wayOf } from './publish-post.ts';

/**
 * Hands several posts over, each for its time. Answers the titles of those that were changed in the meantime and so were left as
 * they are. Throws a sentence where nobody takes one: that one is as it was, those before it are handed over.
 */
export async function schedulePosts(
  site: SiteRow,
  plan: readonly { id: string; time: PlannedTime }[],
): Promise<{ sent: number; left: string[] }> {
  const way = wayOf(site);
  if (!way) throw new Error('Posts of this site are saved as files: there is nobody to hold them back.');
  await standIn();
  const left: string[] = [];
  let sent = 0;
  for (const { id, time } of plan) {
    await lastVisitWritten(id);
    const loaded = await loadPost(id);
    if (!loaded) continue;
    const { row, draft, outline } = loaded;
    const release = releaseBy(way, row.release);
    const at = { kind: 'at', local: time.local, zone: zoneOf(site) } as const;
    const now = new Date().toISOString();
    const dates = datesOfGoingOut(row.fields, release?.out ?? '', at, now);
    const before = { document: { fields: row.fields, draft }, outline };
    const after = { document: { fields: { ...row.fields, ...dates }, draft }, outline };
    try {
      await savePost({ id, revision: row.revision, now, ...after });
    } catch (error) {
      if (!(error instanceof StaleWrite)) throw error;
      left.push(row.fields.title);
      continue;
    }
    try {
      const post = { siteId: site.id, id };
      const version = await keepVersion({ siteId: site.id, postId: id }, after, 'time', now);
      const document = { fields: after.document.fields, draft: finishedDraft(draft, outline) };
      await orderPublishing(post, document, way, release, version.id);
      await keepForGood(version.id);
      sent += 1;
    } catch (error) {
      await takeBackInPost(id, before, after);
      throw error;
    }
  }
  await lookAtSending();
  return { sent, left };
}
