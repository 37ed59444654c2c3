import { finishedDraft } from '../../../core/outline/index.ts';
import type { PlannedTime } from '../../../core/release/index.ts';
import { changedForReaders, LEAST_WORDS } from '../../../core/release/index.ts';
import { publishingNeeds } from '../../../core/site/index.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import { loadPost, savePost } from '../../data/posts.ts';
import { keepVersion } from '../../data/versions.ts';
import { zoneOf } from '../../data/zone-of.ts';
import { standIn } from '../../services/publishing.ts';
import { listInWords } from '../../ui/figures.ts';
import { lookAtSending } from '../sending.ts';
import { lastVisitWritten } from './open-sessions.ts';
import { datesOf, orderPublishing, releaseBy, wayOf } from './publish-post.ts';

/** Why a post of a list cannot be scheduled with others; empty: it can. `words` is null where they are not counted yet. */
export function staysOut(row: PostRow, words: number | null): string {
  if (row.fields.status === 'published') return 'it is published';
  const needs = publishingNeeds({ fields: row.fields, draft: { version: 1, blocks: [] } }).filter(
    (need) => need !== 'a text',
  );
  if (needs.length > 0) return `it needs ${listInWords(needs)}`;
  if (words !== null && words < LEAST_WORDS && !row.overruled?.some(({ item }) => item === 'words'))
    return `it has ${words} words`;
  return '';
}

/**
 * Hands several posts over, each for its time. Answers the titles of those that were changed in the meantime and so were left as
 * they are. Throws a sentence where nobody takes them.
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
    const fields = { ...row.fields, ...datesOf(row.fields, release, at, now) };
    try {
      if (changedForReaders(fields, row.fields).length > 0 || fields.status !== row.fields.status)
        await savePost({ id, revision: row.revision, now, document: { fields, draft }, outline });
    } catch {
      left.push(fields.title);
      continue;
    }
    const content = { document: { fields, draft }, outline };
    const version = await keepVersion({ siteId: site.id, postId: id }, content, 'published', now);
    await orderPublishing(
      { siteId: site.id, id },
      { fields, draft: finishedDraft(draft, outline) },
      way,
      release,
      version.id,
    );
    sent += 1;
  }
  await lookAtSending();
  return { sent, left };
}
