import { liveQuery, type Subscription } from 'dexie';
import { toast } from 'sonner';
import { applyEdits, type DraftEdit } from '../../../core/criteria/index.ts';
import { type Draft, listTakenBack, type PostDocument, type PostFields } from '../../../core/draft/index.ts';
import { finishedDraft, type OutlineItem } from '../../../core/outline/index.ts';
import type { VersionReason, VersionRow } from '../../data/database.ts';
import { contentTakenBack, type PostContent } from '../../data/post-content.ts';
import { type LoadedPost, loadPost, revisionOf } from '../../data/posts.ts';
import type { TermPlace } from '../../workers/scoring-worker.ts';
import { store } from '../store.ts';
import { offerUndo, type TakeBack } from '../undo.ts';
import { lendDraft } from './draft-at-hand.ts';
import {
  contentShown,
  postClosed,
  postOpened,
  presenceSet,
  saveMoved,
  scored,
  scoringFailed,
  trialBegun,
  trialEnded,
} from './open-post.ts';
import { lastVisitWritten, sessionClosed, sessionOpened, takeBackInPost } from './open-sessions.ts';
import { PostPresence } from './post-presence.ts';
import { PostSaver } from './post-saver.ts';
import { PostScorer } from './post-scorer.ts';
import { PostTrial } from './post-trial.ts';
import { tellUnsaved } from './unsaved.ts';
import { VersionKeeper } from './version-keeper.ts';

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

/** A change of a post: what is given is set, the rest stays. */
export interface PostChange {
  fields?: Partial<PostFields>;
  draft?: Draft;
  outline?: OutlineItem[];
}

/**
 * One visit of one post, outside of React. It owns the post's fields and outline, and its body until the editor takes
 * that over; the store only shows them. A saver writes it, a scorer judges it, and a session that is closed changes
 * nothing any more.
 */
export class PostSession {
  /** The sign of this visit: two visits of one post are two sessions. */
  readonly key = crypto.randomUUID();
  private fields: PostFields;
  private outline: OutlineItem[];
  private draft: Draft;
  private owner: BodyOwner | null = null;
  private closed = false;
  private following = false;
  private takingIn = false;
  private readonly saver: PostSaver;
  private readonly scorer: PostScorer;
  private readonly trial = new PostTrial();
  private readonly presence: PostPresence;
  private readonly versions: VersionKeeper;
  private readonly others: Subscription;
  private readonly takeLentBack: () => void;

  private constructor(
    readonly id: string,
    readonly siteId: string,
    { row, draft, outline }: LoadedPost,
  ) {
    this.fields = row.fields;
    this.outline = outline;
    this.draft = draft;
    this.versions = new VersionKeeper({ siteId, postId: id }, this.content);
    this.saver = new PostSaver(id, row.revision, {
      read: () => this.content,
      onSaving: (saving) => store.dispatch(saveMoved({ session: this.key, saving })),
      onSaved: (content) => this.versions.afterSave(content),
      setAside: async (content) => {
        await this.versions.keep(content, 'aside');
        toast('This post was changed elsewhere. What you had written here is kept under Versions.', {
          id: `aside ${this.key}`,
          duration: 15_000,
        });
      },
      takeIn: (stored) => this.takeIn(stored),
    });
    this.scorer = new PostScorer(
      { siteId, postId: id },
      {
        read: () => ({ revision: this.saver.stored, document: this.finished }),
        onReport: (answer) => store.dispatch(scored({ session: this.key, answer })),
        onProblem: (reason) =>
          store.dispatch(
            scoringFailed({
              session: this.key,
              reason: `Scoring stopped (${reason}). Your text is not touched.`,
            }),
          ),
      },
    );
    this.others = liveQuery(() => revisionOf(id)).subscribe({
      next: (revision) => {
        if (revision !== null && revision > this.saver.stored && !this.saver.isBehind) this.refresh();
      },
      error: (error: unknown) => console.error('Changes of other tabs cannot be seen:', error),
    });
    this.presence = new PostPresence(id, {
      lead: () => this.refresh(() => this.setFollowing(false)),
      follow: () => this.setFollowing(true),
      yield: () => this.saver.write(),
    });
    this.takeLentBack = lendDraft(() => this.document);
    addEventListener('pagehide', this.saveNow);
    document.addEventListener('visibilitychange', this.saveNow);
    sessionOpened(this);
  }

  /**
   * Opens a post; null where it is not there, or where the signal says that nobody waits for it any more: then nothing
   * of it was shown.
   */
  static async open(id: string, signal?: AbortSignal): Promise<PostSession | null> {
    await lastVisitWritten(id);
    const loaded = await loadPost(id);
    if (!loaded || signal?.aborted) return null;
    const session = new PostSession(id, loaded.row.siteId, loaded);
    store.dispatch(
      postOpened({
        session: session.key,
        id,
        siteId: session.siteId,
        fields: session.fields,
        outline: session.outline,
        changed: loaded.row.changed,
      }),
    );
    if (session.following) store.dispatch(presenceSet({ session: session.key, following: true }));
    return session;
  }

  /** The body as it stands now. */
  get body(): Draft {
    if (this.owner) this.draft = this.owner.read();
    return this.draft;
  }

  get document(): PostDocument {
    return { fields: this.fields, draft: this.body };
  }

  /** The post as it is scored and goes out: without headings that still wait for their text. */
  get finished(): PostDocument {
    return { fields: this.fields, draft: finishedDraft(this.body, this.outline) };
  }

  /** Why what stands here is not saved, in words; empty where it is, or is on its way. */
  get unsaved(): string {
    return this.saver.failure;
  }

  /** All of the post as it stands now. */
  get content(): PostContent {
    return { document: this.document, outline: this.outline };
  }

  /** The editor takes the body over for the rest of the session. */
  lend(owner: BodyOwner): void {
    this.owner = owner;
    owner.setEditable(!this.following && !this.closed);
  }

  /** Writes the post in this tab from now on; the tab that wrote it saves first and follows. */
  takeOver(): Promise<void> {
    return this.presence.takeOver();
  }

  /** Scores anew after scoring stopped. */
  restartScoring(): void {
    store.dispatch(scoringFailed({ session: this.key, reason: '' }));
    this.scorer.restart();
  }

  /** Where a term of the study, by its key, stands in the post. */
  placesOfTerm(key: string): Promise<TermPlace[]> {
    return this.scorer.placesOf(key);
  }

  /** Keeps the post as it stands as a version, with a name where the writer gives one. */
  keepVersion(reason: VersionReason, name = ''): Promise<VersionRow> {
    return this.versions.keep(this.content, reason, name);
  }

  /**
   * Changes the post. Answers the way back, which takes back this change and nothing that came since, in this post
   * whichever is open by then.
   */
  change({ fields, draft, outline }: PostChange): TakeBack {
    if (this.following) {
      toast('This post is written in another tab. Change it there, or press "Write here instead".', {
        id: `following ${this.key}`,
      });
    }
    if (this.closed || this.following) return () => {};
    return this.tracked(() => {
      if (draft) this.replaceBody(draft);
      if (fields || outline) {
        this.fields = { ...this.fields, ...fields };
        this.outline = outline ?? this.outline;
        this.shown();
        this.changed();
      }
    });
  }

  /** Does what changes the post in whatever way, through the editor say; answers the way back of all of it. */
  tracked(work: () => void): TakeBack {
    const before = this.content;
    work();
    const after = this.content;
    return () => takeBackInPost(this.id, before, after);
  }

  setFields(fields: Partial<PostFields>): void {
    this.change({ fields });
  }

  /**
   * Changes the outline from how it was when the change was thought of to how it shall be; what was changed meanwhile
   * stays. Answers the way back.
   */
  changeOutline(from: readonly OutlineItem[], to: readonly OutlineItem[]): TakeBack {
    // Taking back "from `to` to `from`" is to go from `from` to `to`.
    return this.change({ outline: listTakenBack(to, from, this.outline).value });
  }

  /** Applies edits; answers the way back. */
  apply(edits: readonly DraftEdit[]): TakeBack {
    const before = this.document;
    const after = applyEdits(
      before,
      edits.map((edit) => (edit.kind === 'split-block' ? { ...edit, newId: crypto.randomUUID() } : edit)),
    );
    return this.change({
      ...(after.draft === before.draft ? {} : { draft: after.draft }),
      ...(after.fields === before.fields ? {} : { fields: after.fields }),
    });
  }

  /** Puts content in the place of all that stands, as from a version. Answers the way back. */
  putBack({ document: { fields, draft }, outline }: PostContent): TakeBack {
    return this.change({ fields, draft, outline });
  }

  /** Takes a change back as far as nothing of it was changed since; answers in words what stays. */
  takeBack(before: PostContent, after: PostContent): string {
    if (this.following) return 'This post is written in another tab: take it back there.';
    const { content, left } = contentTakenBack(before, after, this.content);
    this.putBack(content);
    return left;
  }

  /** Begins a trial: from here on everything can be taken back in one go. How the post stands is kept as a version. */
  async beginTrial(): Promise<void> {
    this.trial.begin(this.content);
    store.dispatch(trialBegun({ session: this.key }));
    await this.keepVersion('trial');
  }

  /** Ends a trial. What is taken back can be brought back by the answer's undo. */
  endTrial(how: 'keep' | 'take-back'): void {
    const before = this.trial.end();
    store.dispatch(trialEnded({ session: this.key }));
    if (how === 'keep' || !before) return;
    offerUndo('The post is as it was before the trial.', this.putBack(before));
  }

  /** To be called on every change of the body. */
  bodyChanged = (): void => this.changed();

  /** Resolves when everything written so far is kept (or could not be). */
  saved(): Promise<void> {
    return this.saver.write();
  }

  /** Replaces the body, undoable in the editor once there is one. */
  private replaceBody(draft: Draft): void {
    if (this.owner) this.owner.replace(draft);
    else {
      this.draft = draft;
      this.changed();
    }
  }

  private setFollowing(following: boolean): void {
    this.following = following;
    this.owner?.setEditable(!following);
    store.dispatch(presenceSet({ session: this.key, following }));
  }

  /** Takes in what was written elsewhere, then does `next`. What was changed here and not saved is never thrown away. */
  private refresh(next: () => void = () => {}): void {
    loadPost(this.id)
      .then((stored) => {
        if (stored && stored.row.revision > this.saver.stored && !this.saver.isBehind && !this.closed)
          this.takeIn(stored);
      })
      .catch((error: unknown) => console.error('What another tab wrote could not be read:', error))
      .finally(next);
  }

  private takeIn({ row, draft, outline }: LoadedPost): void {
    this.saver.tookIn(row.revision);
    this.fields = row.fields;
    this.outline = outline;
    this.draft = draft;
    this.shown();
    store.dispatch(saveMoved({ session: this.key, saving: { save: 'saved', at: row.changed } }));
    this.takingIn = true;
    this.owner?.replace(draft, true);
    this.takingIn = false;
    this.scorer.changed();
  }

  private shown(): void {
    store.dispatch(contentShown({ session: this.key, fields: this.fields, outline: this.outline }));
  }

  private changed(): void {
    if (this.takingIn || this.closed) return;
    this.saver.changed();
    this.scorer.changed();
  }

  private saveNow = (): void => {
    void this.saver.write();
  };

  /** Saves what is left and lets go of everything. Resolves when the last words are kept, or are offered as a file. */
  async close(): Promise<void> {
    if (this.closed) return;
    removeEventListener('pagehide', this.saveNow);
    document.removeEventListener('visibilitychange', this.saveNow);
    this.others.unsubscribe();
    this.scorer.close();
    this.takeLentBack();
    // Everything must be read before the editor goes.
    this.draft = this.body;
    const { owner } = this;
    this.owner = null;
    this.closed = true;
    const written = this.saver.close();
    sessionClosed(this, written);
    owner?.destroy();
    store.dispatch(postClosed({ session: this.key }));
    const kept = await written;
    // Only now may another tab write: it begins with what was written here.
    this.presence.close();
    if (!kept) tellUnsaved(this.content, () => this.saver.close());
  }
}
