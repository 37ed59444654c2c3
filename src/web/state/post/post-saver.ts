import type { PostContent } from '../../data/post-content.ts';
import { type LoadedPost, loadPost, StaleWrite, savePost } from '../../data/posts.ts';
import { storageProblem } from '../../data/storage.ts';
import type { Base, UnsavedWords } from '../../data/unsaved-words.ts';
import type { Saving } from './open-post.ts';

/** At most so long after a change it is written: a throttle, so that continuous typing is saved too. */
const SAVE_EVERY = 250;
/** Milliseconds after which a failed save is tried again. */
const RETRY_AFTER = 5000;
/** Milliseconds a write may take; on a full disk a browser may answer a large one never, neither kept nor failed. */
const PATIENCE = 5000;
const SLOW =
  'Saving takes unusually long: the disk may be full. What you write is held in this window only: save it as a file, then make room and go on.';

/** Resolves when something is done, or when it takes too long. */
function doneOrLate(done: Promise<void>): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(resolve, PATIENCE);
    void done.then(() => {
      clearTimeout(timer);
      resolve();
    });
  });
}

/** What a saver asks of the session it works for, and tells it. */
export interface SaverOwner {
  /** The post as it stands now. */
  read(): PostContent;
  /** How far saving has come. */
  onSaving(saving: Saving): void;
  /** A content is kept. */
  onSaved(content: PostContent): void;
  /** Another write came first: keeps what stands here aside. It is asked again while more is being written meanwhile. */
  setAside(content: PostContent): Promise<void>;
  /** What is stored, to go on from; never called for a post that is closed. */
  takeIn(stored: LoadedPost): void;
}

/** What a loaded post is to whoever goes on from it. */
export const baseOf = ({ row, draft, outline }: LoadedPost): Base => ({
  changed: row.changed,
  content: { document: { fields: row.fields, draft }, outline },
});

/** Writes one post to the database: soon after each change, one write at a time, and again where one failed. */
export class PostSaver {
  private dirty = false;
  private closing = false;
  private problem = '';
  private timer: ReturnType<typeof setTimeout> | null = null;
  private queue: Promise<void> = Promise.resolve();
  private writing = false;

  constructor(
    private readonly id: string,
    private revision: number,
    private readonly owner: SaverOwner,
    /** Keeps what is not written yet, with every change. */
    private readonly words: UnsavedWords,
  ) {}

  /** The revision that what stands here goes on from. */
  get stored(): number {
    return this.revision;
  }

  /** True while something is not written, or just being written. */
  get isBehind(): boolean {
    return this.dirty || this.writing;
  }

  /** Why what stands here is not saved, in words, until a write succeeds; empty where none failed. */
  get failure(): string {
    // While it is tried again it is not saved yet: whoever leaves now is asked all the same.
    return this.isBehind ? this.problem : '';
  }

  /** True while something is neither written nor kept for the next visit. */
  get isAtRisk(): boolean {
    return this.failure !== '' || (this.isBehind && !this.words.areKept);
  }

  /** To be told of every change. */
  changed(): void {
    this.dirty = true;
    this.words.keep(this.owner.read());
    if (!this.problem) this.owner.onSaving({ save: 'saving' });
    this.later(SAVE_EVERY);
  }

  /** What stands here is what is stored, at a revision: after another tab's write was taken in. */
  tookIn(revision: number, stored: Base): void {
    this.revision = revision;
    this.words.tookIn(stored);
  }

  /** Writes what is not written yet; resolves when that is kept, could not be or takes too long, and never rejects. */
  write(): Promise<void> {
    this.queue = this.queue.then(() => this.writeOnce());
    return doneOrLate(this.queue);
  }

  /** Writes a last time; true where everything is kept. From then on nothing is tried again by itself. */
  async close(): Promise<boolean> {
    this.closing = true;
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    await this.write();
    return !this.isBehind;
  }

  private later(milliseconds: number): void {
    if (this.closing) return;
    this.timer ??= setTimeout(() => {
      this.timer = null;
      void this.write();
    }, milliseconds);
  }

  private async writeOnce(): Promise<void> {
    if (!this.dirty) return;
    this.dirty = false;
    this.writing = true;
    const late = setTimeout(() => this.tell(SLOW), PATIENCE);
    try {
      const content = this.owner.read();
      const now = new Date().toISOString();
      this.words.saving({ changed: now, content });
      this.revision = await savePost({ id: this.id, revision: this.revision, now, ...content });
      this.problem = '';
      this.words.saved(true, this.dirty ? this.owner.read() : null);
      this.owner.onSaving(this.dirty ? { save: 'saving' } : { save: 'saved', at: now });
      this.owner.onSaved(content);
    } catch (error) {
      this.words.saved(false, this.owner.read());
      await this.failed(error);
    } finally {
      clearTimeout(late);
      this.writing = false;
    }
  }

  private async failed(error: unknown): Promise<void> {
    try {
      if (error instanceof StaleWrite) {
        await this.giveWay();
        return;
      }
    } catch (second) {
      error = second;
    }
    this.fail(storageProblem(error));
    // Room may be made elsewhere: try again without waiting for the next key.
    this.later(RETRY_AFTER);
  }

  private fail(problem: string): void {
    this.dirty = true;
    this.tell(problem);
  }

  private tell(problem: string): void {
    this.problem = problem;
    this.owner.onSaving({ save: 'failed', problem });
  }

  /** What was written here is kept aside, and the post goes on as it is stored. */
  private async giveWay(): Promise<void> {
    const stored = await loadPost(this.id);
    if (!stored) {
      this.fail('This post was deleted in another tab. Save your text here as a file.');
      return;
    }
    // What is typed while it is being kept belongs to it too.
    do {
      this.dirty = false;
      await this.owner.setAside(this.owner.read());
    } while (this.dirty && !this.closing);
    this.problem = '';
    this.revision = stored.row.revision;
    this.words.tookIn(baseOf(stored));
    if (this.closing) return;
    this.owner.takeIn(stored);
    this.owner.onSaving({ save: 'saved', at: stored.row.changed });
  }
}
