import type { Draft, PostDocument, PostFields } from '../../../core/draft/index.ts';
import { finishedDraft, type OutlineItem } from '../../../core/outline/index.ts';
import type { PostContent } from '../../data/post-content.ts';
import type { LoadedPost } from '../../data/posts.ts';

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

/** A post as it stands in a visit: its fields and outline here, its body in the editor once there is one. */
export class PostInHand {
  fields: PostFields;
  outline: OutlineItem[];
  private draft: Draft;
  private owner: BodyOwner | null = null;

  constructor({ row, draft, outline }: LoadedPost) {
    this.fields = row.fields;
    this.outline = outline;
    this.draft = draft;
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

  /** All of it. */
  get content(): PostContent {
    return { document: this.document, outline: this.outline };
  }

  /** The editor takes the body over. */
  lend(owner: BodyOwner, editable: boolean): void {
    this.owner = owner;
    owner.setEditable(editable);
  }

  setEditable(editable: boolean): void {
    this.owner?.setEditable(editable);
  }

  /** Replaces the body, undoable in the editor once there is one. False: nobody but the caller knows of it yet. */
  replaceBody(draft: Draft): boolean {
    if (this.owner) this.owner.replace(draft);
    else this.draft = draft;
    return this.owner !== null;
  }

  /** Puts what is stored in the place of all that stands, past the editor's history. */
  takeIn({ row, draft, outline }: LoadedPost): void {
    this.fields = row.fields;
    this.outline = outline;
    this.draft = draft;
    this.owner?.replace(draft, true);
  }

  /** Takes the body back from the editor, which is answered: everything is read before it may go. */
  release(): BodyOwner | null {
    this.draft = this.body;
    const { owner } = this;
    this.owner = null;
    return owner;
  }
}
