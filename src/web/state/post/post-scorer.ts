import type { PostDocument } from '../../../core/draft/index.ts';
import { ScoringClient } from '../../workers/scoring-client.ts';
import type { Offers, ScoreAnswer, TermPlace } from '../../workers/scoring-worker.ts';

/** At most so often a report is shown: each one redraws notes and marks, and reports come with every key. */
const SHOW_EVERY = 150;
/** So long nothing must have changed before changes that help are worked out: each is a report of its own. */
const QUIET_FOR = 200;

/** What a scorer asks of the session it works for, and tells it. */
export interface ScorerOwner {
  /** The post as it is scored, and the revision that it goes on from. */
  read(): { revision: number; document: PostDocument };
  onReport(answer: ScoreAnswer): void;
  /** The changes that help, a moment after the report that they belong to. */
  onOffers(offers: Offers): void;
  /** Scoring stopped, and why. */
  onProblem(reason: string): void;
}

/** Scores one post: with the next frame after a change, and again when what lies around it has changed. */
export class PostScorer {
  private frame = 0;
  private hasScene = false;
  private answer: ScoreAnswer | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private quiet: ReturnType<typeof setTimeout> | null = null;
  private closed = false;
  private shownAt = Number.NEGATIVE_INFINITY;
  private readonly client: ScoringClient;

  constructor(
    post: { siteId: string; postId: string },
    private readonly owner: ScorerOwner,
  ) {
    this.client = new ScoringClient(post, {
      onAnswer: (answer) => this.show(answer),
      onScene: () => {
        this.hasScene = true;
        this.changed();
      },
      onFailure: (reason) => owner.onProblem(reason),
    });
    this.client.start();
  }

  /** Asks for a report with the next frame; many changes within one ask once. */
  changed(): void {
    if (!this.hasScene || this.frame) return;
    this.frame = requestAnimationFrame(() => {
      this.frame = 0;
      const { revision, document } = this.owner.read();
      this.client.request(revision, document);
    });
  }

  /** Scores anew after it had stopped. */
  restart(): void {
    this.client.start();
    this.changed();
  }

  /** Where a term of the study, by its key, stands in the post. */
  placesOf(key: string): Promise<TermPlace[]> {
    return this.client.placesOf(key);
  }

  /** What the score would be with another text; null where that is not known. */
  wouldScore(document: PostDocument): Promise<number | null> {
    return this.client.wouldScore(document);
  }

  close(): void {
    this.closed = true;
    if (this.timer) clearTimeout(this.timer);
    if (this.quiet) clearTimeout(this.quiet);
    cancelAnimationFrame(this.frame);
    this.client.close();
  }

  /** Shows a report: at once where the last one is a moment old, else when it will be; the latest counts. */
  private show(answer: ScoreAnswer): void {
    this.answer = answer;
    this.timer ??= setTimeout(
      () => {
        this.timer = null;
        this.shownAt = performance.now();
        if (this.answer) this.owner.onReport(this.answer);
        this.answer = null;
        this.askForOffers();
      },
      Math.max(0, this.shownAt + SHOW_EVERY - performance.now()),
    );
  }

  /** Asks for changes that help once nothing has changed for a moment; an answer that came too late is let go. */
  private askForOffers(): void {
    if (this.quiet) clearTimeout(this.quiet);
    this.quiet = setTimeout(async () => {
      this.quiet = null;
      const offers = await this.client.offers();
      if (offers && !this.closed && this.quiet === null) this.owner.onOffers(offers);
    }, QUIET_FOR);
  }
}
