import type { PostContent } from '../../data/post-content.ts';
import { endTrial, keepTrial, trialOf } from '../../data/trials.ts';
import type { TrialRow, TrialStart } from '../../data/visit-rows.ts';

/** A trial of one post: from its beginning on everything can be taken back in one go. It outlives the visit. */
export class PostTrial {
  private row: TrialRow | null = null;

  constructor(private readonly id: string) {}

  /** The trial of a post that was left before it ended; null: none. */
  static underWay(id: string): Promise<TrialRow | null> {
    return trialOf(id);
  }

  get isOn(): boolean {
    return this.row !== null;
  }

  /** `before` is the post as it stands before the trial. */
  begin(before: PostContent, start: TrialStart): void {
    this.row = { postId: this.id, before, ...start };
    void keepTrial(this.row);
  }

  /** Goes on with one that was left; null: it has ended elsewhere. */
  goOn(row: TrialRow | null): void {
    this.row = row;
  }

  /** Ends it; answers the post as it stood before, null where no trial was under way. */
  end(): PostContent | null {
    const before = this.row?.before ?? null;
    this.row = null;
    void endTrial(this.id);
    return before;
  }
}
