import { proxy, type Remote } from 'comlink';
import type { Block, PostDocument } from '../../core/draft/index.ts';
import { database } from '../data/database.ts';
import { storageKind } from '../data/storage.ts';
import { watchScene } from '../data/watch-scene.ts';
import { connectWorker } from './connect-worker.ts';
import type { Offers, ScoreAnswer, ScoringApi, TermPlace } from './scoring-worker.ts';

/** What a scoring client tells. */
export interface ScoringListener {
  onAnswer: (answer: ScoreAnswer) => void;
  /** What a post is scored within is known, or has changed. */
  onScene: () => void;
  /** Scoring stopped, and why; the next request starts it anew. */
  onFailure: (reason: string) => void;
}

/**
 * The page's side of the scoring worker, for one post. One request is under way at a time; while it is, only the
 * latest of the others is remembered. Blocks that the worker already has are not sent again. What the post is scored
 * within is read by the worker itself, so that a large site never holds the page up.
 */
export class ScoringClient {
  private sent = new Map<string, Block>();
  private busy = false;
  private closed = false;
  private waiting: (() => void) | null = null;
  private stopWatching: () => void = () => {};
  private readonly link = connectWorker<ScoringApi>({
    name: 'Scoring',
    start: () => new Worker(new URL('./scoring-worker.ts', import.meta.url), { type: 'module' }),
    open: (api) => this.opened(api),
  });

  constructor(
    private readonly post: { siteId: string; postId: string },
    private readonly listener: ScoringListener,
  ) {}

  /** Begins to watch what the post is scored within; told to the listener. */
  start(): void {
    this.link.api().catch((error: Error) => this.failed(error));
  }

  private async opened(api: Remote<ScoringApi>): Promise<void> {
    this.sent = new Map();
    const { siteId, postId } = this.post;
    const known = () => {
      if (!this.closed) this.listener.onScene();
    };
    if (storageKind() !== 'memory') {
      await api.watch(database().name, siteId, postId, proxy(known));
      return;
    }
    // What lies in the page's memory no worker can see.
    this.stopWatching();
    const { stop, first } = watchScene(siteId, postId, (scene) => {
      api.setScene(scene).then(known, (error: Error) => this.failed(error));
    });
    this.stopWatching = stop;
    await first;
  }

  request(revision: number, document: PostDocument): void {
    if (this.closed) return;
    if (this.busy) {
      this.waiting = () => this.request(revision, document);
      return;
    }
    this.busy = true;
    void this.ask(revision, document).finally(() => {
      this.busy = false;
      const next = this.waiting;
      this.waiting = null;
      next?.();
    });
  }

  private async ask(revision: number, { fields, draft: { blocks } }: PostDocument): Promise<void> {
    try {
      const api = await this.link.api();
      const changed = blocks.filter((block) => this.sent.get(block.id) !== block);
      this.sent = new Map(blocks.map((block) => [block.id, block]));
      const answer = await api.score({
        postId: this.post.postId,
        revision,
        fields,
        order: blocks.map((block) => block.id),
        changed,
      });
      if (!this.closed) this.listener.onAnswer(answer);
    } catch (error) {
      this.failed(error as Error);
    }
  }

  /** Starts over with everything next time. */
  private failed(error: Error): void {
    this.sent = new Map();
    if (!this.closed) this.listener.onFailure(error.message);
  }

  /** The changes that help the post as it was scored last; null where it was scored anew in the meantime, or scoring stopped. */
  async offers(): Promise<Offers | null> {
    try {
      return await (await this.link.api()).offers();
    } catch (error) {
      this.failed(error as Error);
      return null;
    }
  }

  /** Where a term of the study stands in the post. */
  async placesOf(key: string): Promise<TermPlace[]> {
    return (await this.link.api()).placesOf(key);
  }

  /** What the score would be with another text; null where that is not known. */
  async wouldScore(document: PostDocument): Promise<number | null> {
    return (await this.link.api()).wouldScore(this.post.postId, document);
  }

  close(): void {
    this.closed = true;
    this.waiting = null;
    this.stopWatching();
    this.link.close();
  }
}
