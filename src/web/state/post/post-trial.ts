import type { PostContent } from '../../data/post-content.ts';

/** A trial: from its beginning on everything can be taken back in one go. */
export class PostTrial {
  private before: PostContent | null = null;

  /** `content` is the post as it stands before the trial. */
  begin(content: PostContent): void {
    this.before = content;
  }

  /** Ends it; answers the post as it stood before, null where no trial was under way. */
  end(): PostContent | null {
    const { before } = this;
    this.before = null;
    return before;
  }
}
