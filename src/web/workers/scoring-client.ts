import { type Remote, wrap } from 'comlink';
import type { Block, PostDocument } from '../../core/draft/index.ts';
import type { SceneData } from '../data/scene-data.ts';
import type { ScoreAnswer, ScoringApi, TermPlace } from './scoring-worker.ts';

/**
 * The page's side of the scoring worker. One request is under way at a time; while it is, only the latest of the
 * others is remembered. Blocks that the worker already has are not sent again.
 */
export class ScoringClient {
  private worker!: Worker;
  private api!: Remote<ScoringApi>;
  private scene: SceneData | null = null;
  private sent = new Map<string, Block>();
  private sentFor = '';
  private busy = false;
  private waiting: (() => void) | null = null;

  constructor(
    private readonly onAnswer: (answer: ScoreAnswer) => void,
    private readonly onFailure: (reason: string) => void,
  ) {
    this.restart();
  }

  /** Starts a worker, in place of one that failed. */
  restart(): void {
    this.worker?.terminate();
    this.worker = new Worker(new URL('./scoring-worker.ts', import.meta.url), { type: 'module' });
    this.worker.onerror = (event) => this.onFailure(event.message || 'its worker could not be started');
    this.api = wrap<ScoringApi>(this.worker);
    this.sent = new Map();
    this.busy = false;
    this.waiting = null;
    if (this.scene) void this.api.setScene(this.scene);
  }

  setScene(scene: SceneData): void {
    this.scene = scene;
    void this.api.setScene(scene);
  }

  request(postId: string, revision: number, document: PostDocument): void {
    if (this.busy) {
      this.waiting = () => this.request(postId, revision, document);
      return;
    }
    this.busy = true;
    if (this.sentFor !== postId) this.sent = new Map();
    this.sentFor = postId;
    const { blocks } = document.draft;
    const changed = blocks.filter((block) => this.sent.get(block.id) !== block);
    this.sent = new Map(blocks.map((block) => [block.id, block]));
    this.api
      .score({ postId, revision, fields: document.fields, order: blocks.map((block) => block.id), changed })
      .then(this.onAnswer)
      .catch((error: Error) => {
        // Start over with everything next time.
        this.sent = new Map();
        this.onFailure(error.message);
      })
      .finally(() => {
        this.busy = false;
        const next = this.waiting;
        this.waiting = null;
        next?.();
      });
  }

  /** Where a term of the study stands in the post. */
  placesOf(key: string): Promise<TermPlace[]> {
    return this.api.placesOf(key);
  }

  close(): void {
    this.worker.terminate();
  }
}
