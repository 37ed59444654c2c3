import type { ScoreReport } from '../../../core/criteria/index.ts';
import type { PostFields } from '../../../core/draft/index.ts';
import type { OutlineItem } from '../../../core/outline/index.ts';
import type { TrialStart } from '../../data/visit-rows.ts';
import type { Offers, ScoreAnswer } from '../../workers/scoring-worker.ts';
import { store } from '../store.ts';
import {
  contentShown,
  offered,
  postClosed,
  postOpened,
  presenceSet,
  type Saving,
  saveMoved,
  scored,
  scoringFailed,
  trialBegun,
  trialEnded,
} from './open-post.ts';

/** What the store shows of one visit. A visit that is not the one shown any more changes nothing there. */
export class ShownPost {
  /** `session` is the sign of the visit. */
  constructor(private readonly session: string) {}

  opened(post: {
    id: string;
    siteId: string;
    fields: PostFields;
    outline: OutlineItem[];
    changed: string;
  }): void {
    store.dispatch(postOpened({ session: this.session, ...post }));
  }

  content(fields: PostFields, outline: OutlineItem[]): void {
    store.dispatch(contentShown({ session: this.session, fields, outline }));
  }

  saving(saving: Saving): void {
    store.dispatch(saveMoved({ session: this.session, saving }));
  }

  score(answer: ScoreAnswer): void {
    store.dispatch(scored({ session: this.session, answer }));
  }

  offers(offers: Offers): void {
    store.dispatch(offered({ session: this.session, offers }));
  }

  /** Why scoring stands still, in words; empty: it goes on. */
  scoringProblem(reason: string): void {
    store.dispatch(scoringFailed({ session: this.session, reason }));
  }

  /** Whether another tab writes the post. */
  following(following: boolean): void {
    store.dispatch(presenceSet({ session: this.session, following }));
  }

  /** A trial begins; answers the report that it begins with, null where there is none yet. */
  trialBegun(): TrialStart | null {
    const { report, words, session } = store.getState().openPost;
    if (!report || session !== this.session) return null;
    const start = { report: report as ScoreReport, words };
    this.trialGoesOn(start);
    return start;
  }

  /** A trial that began earlier is under way. */
  trialGoesOn({ report, words }: TrialStart): void {
    store.dispatch(trialBegun({ session: this.session, report, words }));
  }

  trialEnded(): void {
    store.dispatch(trialEnded({ session: this.session }));
  }

  closed(): void {
    store.dispatch(postClosed({ session: this.session }));
  }
}
