import type { VersionReason, VersionRow } from '../data/database.ts';
import { keepVersion, type PostContent, versionsOf } from '../data/versions.ts';
import { jobsWorker } from '../workers/jobs-client.ts';

/** Minutes of work after which a version is kept by itself. */
const EVERY = 10;

/** Keeps versions of one post: by time while it is worked on, and when asked. */
export class VersionKeeper {
  private last: number | null = null;

  constructor(private readonly post: { siteId: string; postId: string }) {}

  /** Keeps a version now; its score follows from a worker. */
  async keep(content: PostContent, reason: VersionReason, name = ''): Promise<VersionRow> {
    const now = new Date();
    this.last = now.getTime();
    const row = await keepVersion(this.post, content, reason, now.toISOString(), name);
    const jobs = await jobsWorker();
    void Promise.resolve(jobs.scoreVersions(this.post.siteId, this.post.postId)).catch((error: unknown) =>
      console.error('Versions could not be scored:', error),
    );
    return row;
  }

  /** To be called after each save: keeps a version where the last one is old enough. */
  async afterSave(content: PostContent): Promise<void> {
    if (this.last === null) {
      const [newest] = await versionsOf(this.post.siteId, this.post.postId);
      this.last = newest ? Date.parse(newest.at) : 0;
    }
    if (Date.now() - this.last >= EVERY * 60_000) await this.keep(content, 'time');
  }
}
