import { localTime } from '../../../core/release/index.ts';
import type { SiteRow } from '../../data/post-rows.ts';
import { loadPost } from '../../data/posts.ts';
import { keepRelease } from '../../data/releases.ts';
import { keepVersion } from '../../data/versions.ts';
import { zoneOf } from '../../data/zone-of.ts';

const hex = (bytes: ArrayBuffer) =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/**
 * Keeps that a post came out of a file of the open folder, so that its changes go into that file. A draft is no published
 * post: where it goes is asked when it goes out. `path` lies below the folder.
 */
export async function knowFile(site: SiteRow, postId: string, path: string, file: Blob): Promise<void> {
  const loaded = await loadPost(postId);
  if (!loaded || loaded.row.release || loaded.row.fields.status === 'draft') return;
  const { row, draft, outline } = loaded;
  const now = new Date().toISOString();
  // As the server tells a file's version.
  const version = hex(await crypto.subtle.digest('SHA-256', await file.arrayBuffer())).slice(0, 24);
  const document = { fields: row.fields, draft };
  const kept = await keepVersion({ siteId: site.id, postId }, { document, outline }, 'published', now);
  const out = row.fields.date || now;
  const zone = zoneOf(site);
  await keepRelease(postId, {
    url: `folder:${path}`,
    endpoint: 'folder',
    version,
    sentAt: now,
    versionId: kept.id,
    out,
    local: localTime(zone, out),
    zone,
    withdrawn: false,
  });
}
