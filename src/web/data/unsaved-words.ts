import { wholeFields } from '../../core/draft/index.ts';
import { alone } from './alone.ts';
import { spliced, splicedById, spliceOf } from './blocks-splice.ts';
import { database } from './database.ts';
import type { PostContent } from './post-content.ts';
import { loadPost, StaleWrite, savePost } from './posts.ts';
import { keepVersion } from './versions.ts';
import { readVisits, writeNow } from './visit-store.ts';

/** What is stored, or about to be: the instant of that save, and its content. */
export interface Base {
  changed: string;
  content: PostContent;
}

/**
 * The last words of one visit, kept with every key until the post's own row holds them: a page that ends between two
 * saves, or a browser that is killed, loses none of them.
 */
export class UnsavedWords {
  private writing: Base | null = null;
  private isKept = false;
  private refused = false;

  constructor(
    private readonly visit: { visit: string; siteId: string; postId: string },
    private stored: Base,
  ) {}

  /** Another content is stored now, and what stands here is that. */
  tookIn(stored: Base): void {
    this.stored = stored;
    this.writing = null;
    this.clear();
  }

  /** A content is on its way into the post's row. */
  saving(base: Base): void {
    this.writing = base;
  }

  /** That content is stored, or was refused; `now` is what is not stored yet, null where nothing is. */
  saved(isStored: boolean, now: PostContent | null): void {
    if (this.writing && isStored) this.stored = this.writing;
    this.writing = null;
    if (now) this.keep(now);
    else if (isStored) this.clear();
  }

  /** False where the browser did not take what was to be kept. */
  get areKept(): boolean {
    return !this.refused;
  }

  /** Keeps what stands here now: it is on its way when the call returns. */
  keep({ document: { fields, draft }, outline }: PostContent): void {
    const bases = this.writing ? [this.stored, this.writing] : [this.stored];
    this.isKept = true;
    const body = spliceOf(
      bases.map(({ content }) => content.document.draft.blocks),
      draft.blocks,
    );
    void writeNow('unsaved', this.visit.visit, {
      ...this.visit,
      bases: bases.map(({ changed }) => changed),
      fields,
      outline,
      body,
    }).then((taken) => {
      this.refused = !taken;
    });
  }

  private clear(): void {
    if (!this.isKept) return;
    this.isKept = false;
    void writeNow('unsaved', this.visit.visit, null);
  }
}

/**
 * Puts the last words of visits that ended too soon into their post. Where the post was written since, they are kept
 * as a version beside it. To be called when no other visit has the post. Answers what it did.
 */
export async function bringLastWordsIn(
  postId: string,
  now: string,
  isAlive: (visit: string) => boolean,
): Promise<'nothing' | 'saved' | 'aside'> {
  // Two tabs that open the post in the same moment would both bring them in.
  return alone(`last words ${database().name} ${postId}`, () => bringIn(postId, now, isAlive));
}

/** Saves a post; false where it was written in this very moment. */
async function isSaved(post: Parameters<typeof savePost>[0]): Promise<boolean> {
  try {
    await savePost(post);
    return true;
  } catch (error) {
    if (error instanceof StaleWrite) return false;
    throw error;
  }
}

async function bringIn(
  postId: string,
  now: string,
  isAlive: (visit: string) => boolean,
): Promise<'nothing' | 'saved' | 'aside'> {
  let brought = 0;
  let aside = 0;
  for (const row of await readVisits('unsaved')) {
    if (row.postId !== postId || isAlive(row.visit)) continue;
    const stored = await loadPost(postId);
    // A post in the trash may come back: its last words wait for it.
    if (!stored) continue;
    const { changed, revision, siteId } = stored.row;
    const fits = row.bases.includes(changed);
    const blocks = (fits ? spliced : splicedById)(stored.draft.blocks, row.body);
    const content: PostContent = {
      document: { fields: wholeFields(row.fields), draft: { ...stored.draft, blocks } },
      outline: row.outline,
    };
    if (fits && (await isSaved({ id: postId, revision, now, ...content }))) brought += 1;
    else {
      await keepVersion({ siteId, postId }, content, 'aside', now);
      aside += 1;
    }
    await writeNow('unsaved', row.visit, null);
  }
  return aside > 0 ? 'aside' : brought > 0 ? 'saved' : 'nothing';
}
