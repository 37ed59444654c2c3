import { liveQuery, type Subscription } from 'dexie';
import { toast } from 'sonner';
import { applyEdits, type DraftEdit } from '../../core/criteria/index.ts';
import type { Draft, PostDocument, PostFields } from '../../core/draft/index.ts';
import { finishedDraft, type OutlineItem } from '../../core/outline/index.ts';
import type { VersionReason, VersionRow } from '../data/database.ts';
import { type LoadedPost, loadPost, revisionOf, StaleWrite, savePost } from '../data/posts.ts';
import { storageProblem } from '../data/storage.ts';
import type { PostContent } from '../data/versions.ts';
import { watchScene } from '../data/watch-scene.ts';
import { ScoringClient } from '../workers/scoring-client.ts';
import type { ScoreAnswer, TermPlace } from '../workers/scoring-worker.ts';
import { lendDraft } from './draft-at-hand.ts';
import {
  contentSet,
  fieldsSet,
  outlineSet,
  postClosed,
  postOpened,
  presenceSet,
  saved,
  saveFailed,
  saveStarted,
  scored,
  scoringFailed,
  trialBegun,
  trialEnded,
} from './open-post.ts';
import { PostPresence } from './post-presence.ts';
import { store } from './store.ts';
import { VersionKeeper } from './version-keeper.ts';

/** At most so long after a change it is written: a throttle, so that continuous typing is saved too. */
const SAVE_EVERY = 250;
/** At most so often a report is shown: each one redraws notes and marks, and reports come with every key. */
const SHOW_EVERY = 150;
/** Milliseconds after which a failed save is tried again. */
const RETRY_AFTER = 5000;

/** What the editor lends the session while it lives. */
export interface BodyOwner {
  /** The body as it stands in the editor. */
  read(): Draft;
  /** Puts another body in: as one step of the editor's history, or past it where another tab wrote it. */
  replace(draft: Draft, pastHistory?: boolean): void;
  /** Whether the writer may change the body here. */
  setEditable(editable: boolean): void;
  destroy(): void;
}

/** The post in hand outside of React: it owns saving and scoring; the editor, once there, owns the body. */
export class PostSession {
  private draft: Draft;
  private revision: number;
  private owner: BodyOwner | null = null;
  private saveTimer: ReturnType<typeof setTimeout> | null = null;
  private saving: Promise<void> | null = null;
  private keeping: Promise<void> = Promise.resolve();
  private dirty = false;
  private scoreFrame = 0;
  private hasScene = false;
  private answer: ScoreAnswer | null = null;
  private showTimer: ReturnType<typeof setTimeout> | null = null;
  private shownAt = Number.NEGATIVE_INFINITY;
  /** What is to be saved last: set on closing, when the store may already hold another post. */
  private last: PostContent | null = null;
  private readonly scoring: ScoringClient;
  private readonly stopWatching: () => void;
  private readonly others: Subscription;
  private readonly presence: PostPresence;
  private readonly versions: VersionKeeper;
  private beforeTrial: PostContent | null = null;
  private following = false;
  private takingIn = false;
  private writing = false;

  private constructor(
    readonly id: string,
    readonly siteId: string,
    loaded: { draft: Draft; revision: number; content: PostContent },
  ) {
    this.draft = loaded.draft;
    this.revision = loaded.revision;
    this.scoring = new ScoringClient(
      (answer) => this.heard(answer),
      (reason) => store.dispatch(scoringFailed(`Scoring stopped (${reason}). Your text is not touched.`)),
    );
    this.versions = new VersionKeeper({ siteId, postId: id }, loaded.content);
    this.others = liveQuery(() => revisionOf(id)).subscribe((revision) => {
      if (revision !== null && revision > this.revision && !this.dirty && !this.writing) void this.refresh();
    });
    this.presence = new PostPresence(id, {
      lead: () => void this.refresh().then(() => this.setFollowing(false)),
      follow: () => this.setFollowing(true),
      yield: () => this.write(),
    });
    // The post in hand is its own surroundings only by its saved fields: it is never its own rival.
    this.stopWatching = watchScene(siteId, id, (scene) => {
      this.scoring.setScene(scene);
      this.hasScene = true;
      this.score();
    });
    lendDraft(() => this.document);
    addEventListener('pagehide', this.saveNow);
    document.addEventListener('visibilitychange', this.saveNow);
  }

  /** Opens a post; null where it is not there. */
  static async open(id: string): Promise<PostSession | null> {
    const loaded = await loadPost(id);
    if (!loaded) return null;
    const { row, draft, outline } = loaded;
    store.dispatch(postOpened({ id, siteId: row.siteId, fields: row.fields, outline, changed: row.changed }));
    const content = { document: { fields: row.fields, draft }, outline };
    return new PostSession(id, row.siteId, { draft, revision: row.revision, content });
  }

  /** The body as it stands now. */
  get body(): Draft {
    if (this.owner) this.draft = this.owner.read();
    return this.draft;
  }

  get document(): PostDocument {
    return { fields: store.getState().openPost.fields, draft: this.body };
  }

  /** The post as it is scored and goes out: without headings that still wait for their text. */
  get finished(): PostDocument {
    const { fields, outline } = store.getState().openPost;
    return { fields, draft: finishedDraft(this.body, outline) };
  }

  /** The editor takes the body over for the rest of the session. */
  lend(owner: BodyOwner): void {
    this.owner = owner;
    owner.setEditable(!this.following);
  }

  /** Writes the post in this tab from now on; the tab that wrote it saves first and follows. */
  takeOver(): Promise<void> {
    return this.presence.takeOver();
  }

  /** Starts a scoring worker anew after one failed. */
  restartScoring(): void {
    store.dispatch(scoringFailed(''));
    this.scoring.restart();
    this.score();
  }

  /** Keeps the post as it stands as a version, with a name where the writer gives one. */
  keepVersion(reason: VersionReason, name = ''): Promise<VersionRow> {
    return this.versions.keep(this.content, reason, name);
  }

  /** Puts content back, as from a version: the body as a step that the editor can undo. Answers how to undo all of it. */
  putBack({ document, outline }: PostContent): () => void {
    const before = this.content;
    this.replaceBody(document.draft);
    this.setFields(document.fields);
    this.setOutline(outline);
    return () => {
      this.replaceBody(before.document.draft);
      this.setFields(before.document.fields);
      this.setOutline(before.outline);
    };
  }

  /** Begins a trial: from here on everything can be taken back in one go. How the post stands is kept as a version. */
  async beginTrial(): Promise<void> {
    this.beforeTrial = this.content;
    store.dispatch(trialBegun());
    await this.keepVersion('trial');
  }

  /** Ends a trial. What is taken back can be brought back by the answer's undo. */
  endTrial(how: 'keep' | 'take-back'): void {
    const before = this.beforeTrial;
    this.beforeTrial = null;
    store.dispatch(trialEnded());
    if (how === 'keep' || !before) return;
    const undo = this.putBack(before);
    toast('The post is as it was before the trial.', {
      duration: 12_000,
      action: { label: 'Undo', onClick: undo },
    });
  }

  private setFollowing(following: boolean): void {
    this.following = following;
    this.owner?.setEditable(!following);
    if (store.getState().openPost.id === this.id) store.dispatch(presenceSet({ following }));
  }

  /** Takes in what was written elsewhere. What was changed here and not saved is never thrown away. */
  private async refresh(): Promise<void> {
    const stored = await loadPost(this.id);
    if (!stored || stored.row.revision <= this.revision || this.dirty || this.last) return;
    this.takeIn(stored);
  }

  private takeIn({ row, draft, outline }: LoadedPost): void {
    this.revision = row.revision;
    if (store.getState().openPost.id !== this.id) return;
    store.dispatch(contentSet({ fields: row.fields, outline, changed: row.changed }));
    this.draft = draft;
    this.takingIn = true;
    this.owner?.replace(draft, true);
    this.takingIn = false;
    this.score();
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

  /** Where a term of the study, by its key, stands in the post. */
  placesOfTerm(key: string): Promise<TermPlace[]> {
    return this.scoring.placesOf(key);
  }

  /** Resolves when everything written so far is kept (or could not be). */
  saved(): Promise<void> {
    return this.write();
  }

  private changed(): void {
    if (this.takingIn) return;
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
      this.scoring.request(this.id, this.revision, this.finished);
    });
  }

  /** Shows a report: at once where the last one is a moment old, else when it will be; the latest counts. */
  private heard(answer: ScoreAnswer): void {
    this.answer = answer;
    this.showTimer ??= setTimeout(
      () => {
        this.showTimer = null;
        this.shownAt = performance.now();
        if (this.answer) store.dispatch(scored(this.answer));
        this.answer = null;
      },
      Math.max(0, this.shownAt + SHOW_EVERY - performance.now()),
    );
  }

  private saveNow = (): void => {
    if (this.dirty) void this.write();
  };

  private write(): Promise<void> {
    this.saving = (this.saving ?? Promise.resolve()).then(() => this.writeOnce());
    return this.saving;
  }

  private get content(): PostContent {
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
    const content = this.last ?? this.content;
    this.writing = true;
    try {
      this.revision = await savePost({ id: this.id, revision: this.revision, now, ...content });
      if (!this.dirty) this.tell(saved(now));
      // The next save does not wait for this: what is typed meanwhile must be kept in time.
      this.keeping = this.keeping
        .then(() => this.versions.afterSave(content))
        .catch((error: unknown) => console.error('A version could not be kept:', error));
    } catch (error) {
      if (error instanceof StaleWrite) await this.setAside();
      else {
        this.dirty = true;
        this.tell(saveFailed(storageProblem(error)));
        // Room may be made elsewhere: try again without waiting for the next key.
        if (!this.last) this.saveTimer ??= setTimeout(this.retry, RETRY_AFTER);
      }
    } finally {
      this.writing = false;
    }
  }

  private readonly retry = (): void => {
    this.saveTimer = null;
    void this.write();
  };

  /** Another write came first: what was written here becomes a version, and the post goes on as it is stored. */
  private async setAside(): Promise<void> {
    const stored = await loadPost(this.id);
    if (!stored) {
      this.dirty = true;
      this.tell(saveFailed('This post was deleted in another tab. Save your text here as a file.'));
      return;
    }
    // What was typed while the database was asked belongs to it too.
    const own = this.last ?? this.content;
    if (!this.last) {
      this.dirty = false;
      this.takeIn(stored);
    }
    await this.versions.keep(own, 'aside');
    if (this.last) return;
    this.tell(saved(stored.row.changed));
    toast('This post was changed elsewhere. What you had written here is kept under Versions.', {
      duration: 15_000,
    });
  }

  /** Saves what is left and lets go of everything. */
  async close(): Promise<void> {
    removeEventListener('pagehide', this.saveNow);
    document.removeEventListener('visibilitychange', this.saveNow);
    if (this.saveTimer) clearTimeout(this.saveTimer);
    if (this.showTimer) clearTimeout(this.showTimer);
    cancelAnimationFrame(this.scoreFrame);
    this.stopWatching();
    this.others.unsubscribe();
    this.scoring.close();
    lendDraft(null);
    // Everything must be read before the editor goes and the store takes another post.
    this.last = this.content;
    const owner = this.owner;
    this.owner = null;
    const last = this.write();
    owner?.destroy();
    await last;
    await this.keeping;
    this.presence.close();
    if (store.getState().openPost.id === this.id) store.dispatch(postClosed());
  }
}
