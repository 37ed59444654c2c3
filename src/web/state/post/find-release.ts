import { postOfEntry, textOfProperty } from '../../../core/blog/index.ts';
import { postPath } from '../../../core/listing/index.ts';
import { finishedDraft } from '../../../core/outline/index.ts';
import { localTime } from '../../../core/release/index.ts';
import type { PostContent } from '../../data/post-content.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { keepRelease } from '../../data/releases.ts';
import { keepForGood, keepVersion } from '../../data/versions.ts';
import { zoneOf } from '../../data/zone-of.ts';
import { postThere } from '../../services/publishing.ts';

const wordsOf = ({ blocks }: { blocks: readonly { text: string }[] }): string =>
  blocks
    .map(({ text }) => text.replace(/\s+/g, ' ').trim())
    .filter(Boolean)
    .join('\n');

/**
 * Finds a published post on the blog beside the application that came there without this browser, as those of the demo do, and
 * keeps where it stands. Where another text stands there, what readers have is not known here, and that is kept too.
 */
export async function findRelease(
  post: { siteId: string; id: string },
  content: PostContent,
  site: SiteRow,
  address: string,
): Promise<void> {
  const { fields } = content.document;
  const draft = finishedDraft(content.document.draft, content.outline);
  const path = postPath(site, fields);
  if (path === null) return;
  const url = `${address}${path}`;
  const { properties, version } = await postThere({ kind: 'stand-in' }, url);
  if (textOfProperty(properties, 'uid') !== post.id) return;
  const there = postOfEntry(properties);
  const isSame = there.fields.title === fields.title && wordsOf(there.draft) === wordsOf(draft);
  const kept = isSame
    ? await keepVersion({ siteId: post.siteId, postId: post.id }, content, 'time', new Date().toISOString())
    : null;
  if (kept) await keepForGood(kept.id);
  const out = there.fields.date || fields.date;
  const zone = zoneOf(site);
  await keepRelease(post.id, {
    url,
    endpoint: '',
    version,
    sentAt: there.fields.updated || out,
    versionId: kept?.id ?? '',
    out,
    local: localTime(zone, out),
    zone,
    withdrawn: false,
  });
}
