import { database } from '../../data/database.ts';

/** Milliseconds that the writing tab is given to save before another takes over. */
const PATIENCE = 1500;

/** What a tab is told of its place among the tabs that have a post open. */
export interface PresenceListener {
  /** This tab writes from now on; what another tab wrote before lies in the database. */
  lead(): void;
  /** Another tab writes. */
  follow(): void;
  /** Another tab wants to write: save what is left. */
  yield(): Promise<void>;
}

type Message = { kind: 'wanted' | 'free'; from: string };

const lockOf = (postId: string): string => `post ${database().name} ${postId}`;

/** Whether a visit, in this tab or another, writes a post just now. Where the browser has no locks nobody knows. */
export async function isWrittenElsewhere(postId: string): Promise<boolean> {
  const name = lockOf(postId);
  return ((await navigator.locks?.query())?.held ?? []).some((lock) => lock.name === name);
}

/**
 * Which of the tabs that have a post open writes it: one at a time, by a lock of the browser. The others follow and
 * may take over; when the writing tab goes, the next one writes. Where the browser has no locks every tab leads, and
 * the revision of the post alone keeps them apart.
 */
export class PostPresence {
  private readonly name: string;
  private readonly channel: BroadcastChannel | null;
  private readonly self = crypto.randomUUID();
  private release: (() => void) | null = null;
  private queue: AbortController | null = null;
  private closed = false;

  constructor(
    postId: string,
    private readonly listener: PresenceListener,
  ) {
    this.name = lockOf(postId);
    if (!navigator.locks || typeof BroadcastChannel === 'undefined') {
      this.channel = null;
      listener.lead();
      return;
    }
    this.channel = new BroadcastChannel(this.name);
    this.channel.onmessage = ({ data }: MessageEvent<Message>) => {
      this.onMessage(data).catch((error: unknown) =>
        console.error('A message of another tab failed:', error),
      );
    };
    void this.request({ ifAvailable: true });
  }

  /** Asks the writing tab to save and let go, and writes here from then on. */
  async takeOver(): Promise<void> {
    if (!this.channel || this.release) return;
    const free = new Promise<void>((done) => {
      const onAnswer = ({ data }: MessageEvent<Message>) => {
        if (data.kind !== 'free') return;
        this.channel?.removeEventListener('message', onAnswer);
        done();
      };
      this.channel?.addEventListener('message', onAnswer);
      setTimeout(done, PATIENCE);
    });
    this.say('wanted');
    await free;
    // Where the writing tab has gone meanwhile, this one may have been next in line: it leads already.
    if (this.closed || this.release) return;
    this.queue?.abort();
    await this.request({ steal: true });
  }

  close(): void {
    this.closed = true;
    this.queue?.abort();
    this.release?.();
    this.channel?.close();
  }

  private say(kind: Message['kind']): void {
    this.channel?.postMessage({ kind, from: this.self } satisfies Message);
  }

  private async onMessage({ kind }: Message): Promise<void> {
    if (kind !== 'wanted' || !this.release) return;
    // Nothing may be typed between this save and the other tab's first.
    this.listener.follow();
    await this.listener.yield();
    this.say('free');
  }

  /** Resolves when the lock is held or refused, not when it ends. */
  private request(options: LockOptions): Promise<void> {
    return new Promise((settled) => {
      let own: (() => void) | null = null;
      navigator.locks
        .request(this.name, options, (lock) => {
          settled();
          if (this.closed) return;
          if (!lock) {
            this.wait();
            return;
          }
          return new Promise<void>((done) => {
            own = done;
            this.release = done;
            this.listener.lead();
          });
        })
        .catch(() => {
          // Taken over by another tab; or no longer waiting, or given way to a later request of this very tab.
          settled();
          if (own !== null && this.release === own && !this.closed) this.wait();
        });
    });
  }

  /** Follows, and stands in line for when the writing tab goes. */
  private wait(): void {
    this.release = null;
    this.listener.follow();
    this.queue = new AbortController();
    void this.request({ signal: this.queue.signal });
  }
}
