import { liveQuery, type Subscription } from 'dexie';
import { toast } from 'sonner';
import { applyEdits, type DraftEdit, withNewIds } from '../../../core/criteria/index.ts';
import { type Draft, listTakenBack, type PostDocument, type PostFields } from '../../../core/draft/index.ts';
import type { OutlineItem } from '../../../core/outline/index.ts';
import { contentTakenBack, type PostContent } from '../../data/post-content.ts';
import type { VersionReason, VersionRow } from '../../data/post-rows.ts';
import { type LoadedPost, loadPost, revisionOf } from '../../data/posts.ts';
import { UnsavedWords } from '../../data/unsaved-words.ts';
import type { TrialRow } from '../../data/visit-rows.ts';
import type { TermPlace } from '../../workers/scoring-worker.ts';
import { offerUndo, type TakeBack } from '../undo.ts';
import { lendDraft } from './draft-at-hand.ts';
import { bringLastWords } from './last-words.ts';
import { lastVisitWritten, sessionClosed, sessionOpened, takeBackInPost } from './open-sessions.ts';
import { type BodyOwner, type PostChange, PostInHand } from './post-in-hand.ts';
import { isWrittenElsewhere, PostPresence } from './post-presence.ts';
import { baseOf, PostSaver } from './post-saver.ts';
import { PostScorer } from './post-scorer.ts';
import { PostTrial } from './post-trial.ts';
import { ShownPost } from './shown-post.ts';
import { tellUnsaved } from './unsaved.ts';
import { VersionKeeper } from './version-keeper.ts';

/**
 * One visit of one post, outside of React. It owns the post's fields and outline, and its body until the editor takes
 * that over; the store only shows them. A saver writes it, a scorer judges it, and a session that is closed changes
 * nothing any more.
 */
export class PostSession {
  /** The sign of this visit: two visits of one post are two sessions. */
  readonly key = crypto.randomUUID();
  private readonly shown = new ShownPost(this.key);
  private readonly post: PostInHand;
  private closed = false;
  private following = false;
  private takingIn = false;
  private readonly saver: PostSaver;
  private readonly scorer: PostScorer;
  private readonly trial: PostTrial;
  private readonly presence: PostPresence;
  private readonly versions: VersionKeeper;
  private readonly others: Subscription;
  private readonly takeLentBack: () => void;

  private constructor(
    readonly id: string,
    readonly siteId: string,
    loaded: LoadedPost,
  ) {
    this.post = new PostInHand(loaded);
    this.trial = new PostTrial(id);
    this.versions = new VersionKeeper({ siteId, postId: id }, this.content);
    this.saver = new PostSaver(
      id,
      loaded.row.revision,
      {
        read: () => this.content,
        onSaving: (saving) => this.shown.saving(saving),
        onSaved: (content) => this.versions.afterSave(content),
        setAside: (content) => this.versions.keepAside(content),
        takeIn: (stored) => this.takeIn(stored),
      },
      new UnsavedWords({ visit: this.key, siteId, postId: id }, baseOf(loaded)),
    );
    this.scorer = new PostScorer(
      { siteId, postId: id },
      {
        read: () => ({ revision: this.saver.stored, document: this.finished }),
        onReport: (answer) => this.shown.score(answer),
        onOffers: (fixes) => this.shown.offers(fixes),
        onProblem: (reason) =>
          this.shown.scoringProblem(`Scoring stopped (${reason}). Your text is not touched.`),
      },
    );
    this.others = liveQuery(() => revisionOf(id)).subscribe({
      next: (revision) => {
        if (revision !== null && revision > this.saver.stored && !this.saver.isBehind) this.refresh();
      },
      error: (error: unknown) => console.error('Changes of other tabs cannot be seen:', error),
    });
    this.presence = new PostPresence(id, {
      lead: () => this.lead(),
      follow: () => this.setFollowing(true),
      yield: () => this.saver.write(),
    });
    this.takeLentBack = lendDraft(() => this.post.document);
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
    try {
      if (!(await isWrittenElsewhere(id))) await bringLastWords(id);
    } catch (error) {
      // The post itself must open all the same; they are tried again at the next opening.
      console.error('The last words of an earlier visit cannot be brought in:', error);
    }
    const [loaded, trial] = await Promise.all([loadPost(id), PostTrial.underWay(id)]);
    if (!loaded || signal?.aborted) return null;
    const session = new PostSession(id, loaded.row.siteId, loaded);
    const { siteId, post, shown } = session;
    shown.opened({ id, siteId, fields: post.fields, outline: post.outline, changed: loaded.row.changed });
    if (session.following) shown.following(true);
    session.goOnWithTrial(trial);
    return session;
  }

  /** The body as it stands now. */
  get body(): Draft {
    return this.post.body;
  }

  get document(): PostDocument {
    return this.post.document;
  }

  /** The post as it is scored and goes out: without headings that still wait for their text. */
  get finished(): PostDocument {
    return this.post.finished;
  }

  /** Why what stands here is not saved, in words; empty where it is, or is on its way. */
  get unsaved(): string {
    return this.saver.failure;
  }

  /** True while something stands here alone: the end of the page would take it along. */
  get isAtRisk(): boolean {
    return this.saver.isAtRisk;
  }

  /** All of the post as it stands now. */
  get content(): PostContent {
    return this.post.content;
  }

  /** The editor takes the body over for the rest of the session. */
  lend(owner: BodyOwner): void {
    this.post.lend(owner, !this.following && !this.closed);
  }

  /** Writes the post in this tab from now on; the tab that wrote it saves first and follows. */
  takeOver(): Promise<void> {
    return this.presence.takeOver();
  }

  /** Scores anew after scoring stopped. */
  restartScoring(): void {
    this.shown.scoringProblem('');
    this.scorer.restart();
  }

  /** Where a term of the study, by its key, stands in the post. */
  placesOfTerm(key: string): Promise<TermPlace[]> {
    return this.scorer.placesOf(key);
  }

  /** What the score would be with another text; null where that is not known. */
  wouldScore(draft: Draft): Promise<number | null> {
    return this.scorer.wouldScore({ ...this.document, draft });
  }

  /** Keeps the post as it stands as a version, with a name where the writer gives one. */
  keepVersion(reason: VersionReason, name = '', fields: Partial<PostFields> = {}): Promise<VersionRow> {
    const { document, outline } = this.content;
    const content = { document: { ...document, fields: { ...document.fields, ...fields } }, outline };
    return this.versions.keep(content, reason, name);
  }

  /**
   * Changes the post. Answers the way back, which takes back this change and nothing that came since, in this post
   * whichever is open by then.
   */
  change({ fields, draft, outline }: PostChange): TakeBack {
    if (!this.mayChange()) return () => {};
    return this.tracked(() => {
      // The editor tells of a change of its own.
      if (draft && !this.post.replaceBody(draft)) this.changed();
      if (fields || outline) {
        this.post.fields = { ...this.post.fields, ...fields };
        this.post.outline = outline ?? this.post.outline;
        this.shown.content(this.post.fields, this.post.outline);
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
    return this.change({ outline: listTakenBack(to, from, this.post.outline).value });
  }

  /** Applies edits; answers the way back. */
  apply(edits: readonly DraftEdit[]): TakeBack {
    const before = this.post.document;
    const after = applyEdits(
      before,
      withNewIds(edits, () => crypto.randomUUID()),
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
    const start = this.shown.trialBegun();
    if (!start || !this.mayChange()) return;
    this.trial.begin(this.content, start);
    await this.keepVersion('trial');
  }

  /** Ends a trial. What is taken back can be brought back by the answer's undo. */
  endTrial(how: 'keep' | 'take-back'): void {
    if (!this.mayChange()) return;
    const before = this.trial.end();
    this.shown.trialEnded();
    if (how === 'keep' || !before) return;
    offerUndo('The post is as it was before the trial.', this.putBack(before));
  }

  /** To be called on every change of the body. */
  bodyChanged = (): void => this.changed();

  /** Resolves when everything written so far is kept (or could not be). */
  saved(): Promise<void> {
    return this.saver.write();
  }

  private mayChange(): boolean {
    if (this.following)
      toast('This post is written in another tab. Change it there, or press "Write here instead".', {
        id: `following ${this.key}`,
      });
    return !this.closed && !this.following;
  }

  /** Writes here from now on: first what is left of visits that ended too soon comes in. */
  private lead(): void {
    // Only while another tab wrote the post can a trial have begun or ended elsewhere.
    const followed = this.following;
    bringLastWords(this.id, this.key)
      .then(async () => {
        if (followed) this.goOnWithTrial(await PostTrial.underWay(this.id));
      })
      .catch((error: unknown) => console.error('The last words of another visit cannot be read:', error))
      .finally(() => this.refresh(() => this.setFollowing(false)));
  }

  /** A trial that was left before it ended goes on; one that ended elsewhere has ended here too. */
  private goOnWithTrial(row: TrialRow | null): void {
    if (this.closed || (row !== null) === this.trial.isOn) return;
    if (row) this.shown.trialGoesOn(row);
    else this.shown.trialEnded();
    this.trial.goOn(row);
  }

  private setFollowing(following: boolean): void {
    this.following = following;
    this.post.setEditable(!following);
    this.shown.following(following);
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

  private takeIn(stored: LoadedPost): void {
    const { row } = stored;
    this.saver.tookIn(row.revision, baseOf(stored));
    this.takingIn = true;
    this.post.takeIn(stored);
    this.takingIn = false;
    this.shown.content(this.post.fields, this.post.outline);
    this.shown.saving({ save: 'saved', at: row.changed });
    this.scorer.changed();
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
    const owner = this.post.release();
    this.closed = true;
    const written = this.saver.close();
    sessionClosed(this, written);
    owner?.destroy();
    this.shown.closed();
    const kept = await written;
    // Only now may another tab write: it begins with what was written here.
    this.presence.close();
    if (!kept) tellUnsaved(this.content, () => this.saver.close());
  }
}
