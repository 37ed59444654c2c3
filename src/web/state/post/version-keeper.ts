import type { PostContent } from '../../data/post-content.ts';
import type { VersionReason, VersionRow } from '../../data/post-rows.ts';
import { keepVersion, versionsOf } from '../../data/versions.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';
import { tellAside } from './last-words.ts';

/** Minutes of work after which a version is kept by itself. */
const EVERY = 10;

/** A post that nobody wrote in yet is no version. */
const hasText = ({ document: { fields, draft } }: PostContent) =>
  fields.title !== '' || draft.blocks.some((block) => block.text !== '' || block.image);

/** Keeps versions of one post: by time while it is worked on, and when asked. */
export class VersionKeeper {
  private last: number | null = null;
  private queue: Promise<void> = Promise.resolve();

  /** `opened` is the post as the visit found it. */
  constructor(
    private readonly post: { siteId: string; postId: string },
    private readonly opened: PostContent,
  ) {}

  /** Keeps a version now; its score follows from a worker, which nobody waits for. */
  async keep(content: PostContent, reason: VersionReason, name = ''): Promise<VersionRow> {
    const now = new Date();
    this.last = now.getTime();
    const row = await keepVersion(this.post, content, reason, now.toISOString(), name);
    this.score().catch((error: unknown) => console.error('Versions could not be scored:', error));
    return row;
  }

  /** Keeps what was written here while another write came first, and says where it is. */
  async keepAside(content: PostContent): Promise<void> {
    await this.keep(content, 'aside');
    tellAside(this.post.postId);
  }

  /** To be told after each save; keeps a version where one is due. The next save does not wait for it. */
  afterSave(content: PostContent): void {
    this.queue = this.queue
      .then(() => this.keepIfDue(content))
      .catch((error: unknown) => console.error('A version could not be kept:', error));
  }

  private async score(): Promise<void> {
    await (await jobsWorker()).scoreVersions(this.post.siteId, this.post.postId);
  }

  /**
   * Where the last version is old enough, the first change of a visit keeps how the post was before it, a later one
   * how it is.
   */
  private async keepIfDue(content: PostContent): Promise<void> {
    const due = (last: number) => Date.now() - last >= EVERY * 60_000;
    if (this.last === null) {
      const [newest] = await versionsOf(this.post.siteId, this.post.postId);
      this.last = newest ? Date.parse(newest.at) : 0;
      if (due(this.last) && hasText(this.opened)) await this.keep(this.opened, 'time');
      else this.last = Math.max(this.last, Date.now() - (EVERY * 60_000) / 2);
    } else if (due(this.last)) await this.keep(content, 'time');
  }
}
