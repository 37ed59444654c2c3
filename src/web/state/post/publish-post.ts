import { entryProperties } from '../../../core/blog/index.ts';
import { type PostDocument, pictureAddresses } from '../../../core/draft/index.ts';
import { datesOfGoingOut, type OutAt } from '../../../core/release/index.ts';
import { database } from '../../data/database.ts';
import { pictureRow } from '../../data/picture-store.ts';
import type { PostRelease, SiteRow } from '../../data/post-rows.ts';
import { endpointOf } from '../../data/releases.ts';
import { keepForGood } from '../../data/versions.ts';
import { orderSending, type SendOrder, standIn, type Way } from '../../services/publishing.ts';
import { lookAtSending } from '../sending.ts';
import { exportPost } from './export-post.ts';
import type { PostSession } from './post-session.ts';

/** Where a site's posts are sent; null: they are packed as a file. */
export function wayOf({ publishing }: Pick<SiteRow, 'publishing'>): Way | null {
  if (publishing?.kind === 'zip') return null;
  if (publishing?.kind === 'micropub') return { kind: 'micropub', endpoint: publishing.endpoint };
  return { kind: publishing?.kind ?? 'stand-in' };
}

/** How a post was sent out, where that was to the way that is set now. */
export const releaseBy = (way: Way, release: PostRelease | undefined): PostRelease | undefined =>
  release?.endpoint === endpointOf(way) ? release : undefined;

/** Pictures of a post whose files lie in this browser, by what is in them. */
async function picturesOf(siteId: string, { fields, draft }: PostDocument): Promise<SendOrder['pictures']> {
  const pictures: SendOrder['pictures'] = [];
  for (const src of new Set(pictureAddresses(fields, draft))) {
    const row = await pictureRow(siteId, src);
    if (!row) continue;
    const blob = (await database().blobs.get(row.sha))?.blob;
    pictures.push({ src, sha: row.sha, name: row.name, type: blob?.type || 'application/octet-stream' });
  }
  return pictures;
}

const fileOf = async (sha: string): Promise<Blob | null> => (await database().blobs.get(sha))?.blob ?? null;

/** Hands a post over, as it shall stand; its status and dates are set already. `versionId` is the version that says so, `passedTo` the places to which its blog shall pass a new one on. */
export async function orderPublishing(
  { siteId, id }: { siteId: string; id: string },
  { fields, draft }: PostDocument,
  way: Way,
  release: PostRelease | undefined,
  versionId: string,
  passedTo: readonly string[] = [],
): Promise<void> {
  await orderSending(
    {
      siteId,
      postId: id,
      title: fields.title,
      way,
      action: 'publish',
      url: release?.url ?? '',
      known: release?.version ?? null,
      leadsTo: '',
      withdrawn: release?.withdrawn ?? false,
      properties: {
        ...entryProperties(id, { fields: { ...fields, status: 'published' }, draft }),
        ...(passedTo.length > 0 && !release ? { 'mp-syndicate-to': [...passedTo] } : {}),
      },
      document: way.kind === 'folder' ? { fields, draft } : null,
      pictures: await picturesOf(siteId, { fields, draft }),
      // Only the blog beside is known to hold a post back until its day.
      due: way.kind === 'micropub' && fields.status === 'scheduled' ? fields.date : '',
      revision: versionId,
    },
    fileOf,
  );
}

/**
 * Sends the post as it stands to where the site's posts are published, or packs it as a file where they are not sent. What was
 * sent is kept as a version. Throws a sentence where it could not be handed over; then nothing of the post is changed.
 */
export async function publishPost(
  session: PostSession,
  site: SiteRow,
  given: PostRelease | undefined,
  at: OutAt,
  passedTo: readonly string[] = [],
): Promise<void> {
  const way = wayOf(site);
  const release = way ? releaseBy(way, given) : undefined;
  // Before anything of the post is touched: is there anybody to hand it to?
  if (way) await standIn();
  const dates = datesOfGoingOut(session.document.fields, release?.out ?? '', at, new Date().toISOString());
  await session.saved();
  if (!way) {
    session.change({ fields: dates });
    await session.saved();
    await session.keepVersion('time');
    await exportPost(session, site, 'md');
    return;
  }
  // The post says that it goes out only once somebody has taken it: a page that is closed before has promised nothing.
  // What is typed from here on belongs to the next time: version and order are of one moment.
  const { fields, draft } = session.finished;
  const version = await session.keepVersion('time', '', dates);
  await orderPublishing(
    session,
    { fields: { ...fields, ...dates }, draft },
    way,
    release,
    version.id,
    passedTo,
  );
  // Only what was handed over is a version that went out.
  await keepForGood(version.id);
  session.change({ fields: dates });
  await session.saved();
  await lookAtSending();
}

/**
 * Takes a published post from its readers, who are led to `leadsTo` instead (empty: it is gone for good), or gives it back to
 * them.
 */
export async function orderAgain(
  { siteId, id: postId, title }: { siteId: string; id: string; title: string },
  site: SiteRow,
  release: PostRelease,
  action: 'withdraw' | 'restore',
  leadsTo = '',
): Promise<void> {
  const way = wayOf(site);
  if (!way) return;
  await orderSending(
    {
      siteId,
      postId,
      title,
      way,
      action,
      url: release.url,
      known: release.version,
      leadsTo,
      withdrawn: release.withdrawn,
      properties: {},
      document: null,
      pictures: [],
      due: '',
      revision: release.versionId,
    },
    fileOf,
  );
  await lookAtSending();
}
