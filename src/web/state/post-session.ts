import { liveQuery, type Subscription } from 'dexie';
import { applyEdits, type DraftEdit } from '../../core/criteria/index.ts';
import type { Draft, PostDocument, PostFields } from '../../core/draft/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import { database } from '../data/database.ts';
import { pictureSizes } from '../data/picture-store.ts';
import { loadPost, postsOf, StaleWrite, savePost } from '../data/posts.ts';
import { type SceneData, sceneData } from '../data/scene-data.ts';
import { ScoringClient } from '../workers/scoring-client.ts';
import {
  fieldsSet,
  outlineSet,
  postClosed,
  postOpened,
  saved,
  saveFailed,
  saveStarted,
  scored,
} from './open-post.ts';
import { store } from './store.ts';

/** At most so long after a change it is written: a throttle, so that continuous typing is saved too. */
const SAVE_EVERY = 400;

/** What the editor lends the session while it lives. */
export interface BodyOwner {
  /** The body as it stands in the editor. */
  read(): Draft;
  /** Puts another body in, as one step of the editor's history. */
  replace(draft: Draft): void;
  destroy(): void;
}

/** The post in hand outside of React: it owns saving and scoring; the editor, once there, owns the body. */
export class PostSession {
  private draft: Draft;
  private revision: number;
  private owner: BodyOwner | null = null;
  private saveTimer: ReturnType<typeof setTimeout> | null = null;
  private saving: Promise<void> | null = null;
  private dirty = false;
  private scoreFrame = 0;
  private hasScene = false;
  private knownScene = '';
  /** What is to be saved last: set on closing, when the store may already hold another post. */
  private last: { document: PostDocument; outline: OutlineItem[] } | null = null;
  private readonly scoring: ScoringClient;
  private readonly surroundings: Subscription;

  private constructor(
    readonly id: string,
    readonly siteId: string,
    loaded: { draft: Draft; revision: number },
  ) {
    this.draft = loaded.draft;
    this.revision = loaded.revision;
    this.scoring = new ScoringClient(
      (answer) => store.dispatch(scored(answer)),
      (reason) => console.error('Scoring failed:', reason),
    );
    this.surroundings = liveQuery(() => surroundingsOf(id, siteId)).subscribe((scene) => {
      // The post's own saves wake this query too: only what differs around it matters.
      const known = JSON.stringify(scene);
      if (!scene || known === this.knownScene) return;
      this.knownScene = known;
      this.scoring.setScene(scene);
      this.hasScene = true;
      this.score();
    });
    addEventListener('pagehide', this.saveNow);
    document.addEventListener('visibilitychange', this.saveNow);
  }

  /** Opens a post; null where it is not there. */
  static async open(id: string): Promise<PostSession | null> {
    const loaded = await loadPost(id);
    if (!loaded) return null;
    const { row, draft, outline } = loaded;
    store.dispatch(postOpened({ id, siteId: row.siteId, fields: row.fields, outline, changed: row.changed }));
    return new PostSession(id, row.siteId, { draft, revision: row.revision });
  }

  /** The body as it stands now. */
  get body(): Draft {
    if (this.owner) this.draft = this.owner.read();
    return this.draft;
  }

  get document(): PostDocument {
    return { fields: store.getState().openPost.fields, draft: this.body };
  }

  /** The editor takes the body over for the rest of the session. */
  lend(owner: BodyOwner): void {
    this.owner = owner;
  }

  /** To be called on every change of the body. */
  bodyChanged = (): void => this.changed();

  setFields(fields: Partial<PostFields>): void {
    store.dispatch(fieldsSet(fields));
    this.changed();
  }

  setOutline(outline: OutlineItem[]): void {
    store.dispatch(outlineSet(outline));
    this.changed();
  }

  /** Replaces the body, undoable in the editor once there is one. */
  replaceBody(draft: Draft): void {
    if (this.owner) this.owner.replace(draft);
    else {
      this.draft = draft;
      this.changed();
    }
  }

  /** Applies edits; answers how to take back those of the fields (the body has the editor's own undo). */
  apply(edits: readonly DraftEdit[]): () => void {
    const before = this.document;
    const after = applyEdits(
      before,
      edits.map((edit) => (edit.kind === 'split-block' ? { ...edit, newId: crypto.randomUUID() } : edit)),
    );
    if (after.draft !== before.draft) this.replaceBody(after.draft);
    if (after.fields !== before.fields) this.setFields(after.fields);
    return () => {
      if (after.fields !== before.fields) this.setFields(before.fields);
      if (after.draft !== before.draft) this.replaceBody(before.draft);
    };
  }

  private changed(): void {
    this.dirty = true;
    if (store.getState().openPost.save !== 'failed') store.dispatch(saveStarted());
    this.saveTimer ??= setTimeout(() => {
      this.saveTimer = null;
      void this.write();
    }, SAVE_EVERY);
    this.score();
  }

  /** Asks for a report with the next frame; many changes within one ask once. */
  private score(): void {
    if (!this.hasScene || this.scoreFrame) return;
    this.scoreFrame = requestAnimationFrame(() => {
      this.scoreFrame = 0;
      this.scoring.request(this.id, this.revision, this.document);
    });
  }

  private saveNow = (): void => {
    if (this.dirty) void this.write();
  };

  private write(): Promise<void> {
    this.saving = (this.saving ?? Promise.resolve()).then(() => this.writeOnce());
    return this.saving;
  }

  private get content(): { document: PostDocument; outline: OutlineItem[] } {
    return { document: this.document, outline: store.getState().openPost.outline };
  }

  /** Tells the store how saving went, unless it holds another post by now. */
  private tell(action: ReturnType<typeof saved> | ReturnType<typeof saveFailed>): void {
    if (store.getState().openPost.id === this.id) store.dispatch(action);
  }

  private async writeOnce(): Promise<void> {
    if (!this.dirty) return;
    this.dirty = false;
    const now = new Date().toISOString();
    try {
      this.revision = await savePost({
        id: this.id,
        revision: this.revision,
        now,
        ...(this.last ?? this.content),
      });
      if (!this.dirty) this.tell(saved(now));
    } catch (error) {
      this.dirty = true;
      const reason =
        error instanceof StaleWrite
          ? 'This post was changed in another tab. Export your text here, then reload to go on with the other version.'
          : `Saving failed (${error instanceof Error ? error.message : 'unknown reason'}). Your text is kept in this page; export it on Release.`;
      this.tell(saveFailed(reason));
    }
  }

  /** Saves what is left and lets go of everything. */
  async close(): Promise<void> {
    removeEventListener('pagehide', this.saveNow);
    document.removeEventListener('visibilitychange', this.saveNow);
    if (this.saveTimer) clearTimeout(this.saveTimer);
    cancelAnimationFrame(this.scoreFrame);
    this.surroundings.unsubscribe();
    this.scoring.close();
    // Everything must be read before the editor goes and the store takes another post.
    this.last = this.content;
    const owner = this.owner;
    this.owner = null;
    const last = this.write();
    owner?.destroy();
    await last;
    if (store.getState().openPost.id === this.id) store.dispatch(postClosed());
  }
}

async function surroundingsOf(id: string, siteId: string): Promise<SceneData | null> {
  const site = await database().sites.get(siteId);
  if (!site) return null;
  // The post in hand is its own surroundings only by its saved fields: it is never its own rival.
  const rows = await postsOf(siteId);
  return sceneData(
    site,
    rows.filter((row) => row.id !== id),
    await pictureSizes(siteId),
  );
}
