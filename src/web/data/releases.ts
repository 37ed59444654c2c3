import { localTime } from '../../core/release/index.ts';
import type { SendJob } from '../services/publishing.ts';
import { database } from './database.ts';
import type { PostRelease, PostRow } from './post-rows.ts';
import { zoneOf } from './zone-of.ts';

/** The endpoint of a way; empty: the blog beside the application. A folder is `folder`. */
export const endpointOf = (way: SendJob['way']): string =>
  way.kind === 'micropub' ? way.endpoint : way.kind === 'folder' ? 'folder' : '';

/** What is kept of a job that was done. `versionId` is the post as it was handed over. */
async function releaseOf(job: SendJob, row: PostRow): Promise<PostRelease | null> {
  const { versions, sites } = database();
  const before = row.release;
  const base = { url: job.url, version: job.version, endpoint: endpointOf(job.way), sentAt: job.ended };
  if (job.action !== 'publish')
    return before ? { ...before, ...base, withdrawn: job.action === 'withdraw' } : null;
  const sent = await versions.get(job.revision);
  const zone = zoneOf(await sites.get(row.siteId));
  const out = sent?.fields.date || job.ended;
  return { ...base, versionId: job.revision, out, local: localTime(zone, out), zone, withdrawn: false };
}

/**
 * Keeps that posts were sent out, each once however often it is told; the post itself, and the count of its changes, stay as
 * they are. Answers the jobs of which nothing was known yet.
 */
export async function keepSent(jobs: readonly SendJob[]): Promise<SendJob[]> {
  const { posts, versions, sites } = database();
  const fresh: SendJob[] = [];
  for (const job of jobs) {
    if (job.state !== 'done') continue;
    await database().transaction('rw', posts, versions, sites, async () => {
      const row = await posts.get(job.postId);
      if (!row || row.siteId !== job.siteId || (row.release?.sentAt ?? '') >= job.ended) return;
      const release = await releaseOf(job, row);
      if (!release) return;
      await posts.update(job.postId, { release });
      fresh.push(job);
    });
  }
  return fresh;
}

/** Posts that readers can open by now though their status says that they wait. */
export async function postsNowOut(now: string): Promise<PostRow[]> {
  const rows = await database().posts.toArray();
  return rows.filter(
    ({ deleted, fields, release }) =>
      deleted === '' &&
      fields?.status === 'scheduled' &&
      release !== undefined &&
      !release.withdrawn &&
      Date.parse(release.out) <= Date.parse(now),
  );
}

/** Lets something pass that holds a post back, with the reason; an empty one takes that back. */
export async function overrule(postId: string, item: string, why: string, at: string): Promise<void> {
  const { posts } = database();
  await database().transaction('rw', posts, async () => {
    const row = await posts.get(postId);
    const others = (row?.overruled ?? []).filter((one) => one.item !== item);
    await posts.update(postId, {
      overruled: why.trim() ? [...others, { item, why: why.trim(), at }] : others,
    });
  });
}

/**
 * Keeps where a post stands that was not sent from this browser; one that was stays as it was sent, unless the version that went
 * out is not here.
 */
export async function keepRelease(postId: string, release: PostRelease): Promise<void> {
  const { posts, versions } = database();
  await database().transaction('rw', posts, versions, async () => {
    const row = await posts.get(postId);
    const sent = row?.release ? await versions.get(row.release.versionId) : undefined;
    // When it was sent stays: what is known of that is not told anew.
    const sentAt = row?.release?.sentAt ?? release.sentAt;
    if (row && !sent) await posts.update(postId, { release: { ...release, sentAt } });
  });
}
