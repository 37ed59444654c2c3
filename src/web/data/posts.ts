import type { Table } from 'dexie';
import {
  type Draft,
  emptyDraft,
  emptyFields,
  type PostDocument,
  type PostFields,
} from '../../core/draft/index.ts';
import { finishedDraft, type OutlineItem } from '../../core/outline/index.ts';
import { database } from './database.ts';
import { contentTakenBack, type PostContent } from './post-content.ts';
import type { BodyRow, PostRow } from './post-rows.ts';

/** A write that came too late: the post was changed by another tab in between. */
export class StaleWrite extends Error {}

const EMPTY = emptyFields();
const FIELD_KEYS = Object.keys(EMPTY) as (keyof PostFields)[];
const kindOf = (value: unknown) => (Array.isArray(value) ? 'list' : typeof value);

/** Whether a field holds what such a field holds; those that may be null hold that or a value. */
const isSound = (key: keyof PostFields, value: unknown): boolean =>
  EMPTY[key] === null
    ? value === null || typeof value === 'string' || typeof value === 'number'
    : kindOf(value) === kindOf(EMPTY[key]) && value !== null;

/**
 * A post's row as screens can show it: fields that are damaged are empty, so that one such row takes no list along. A
 * row that is whole is answered as it is.
 */
function soundRow(row: PostRow): PostRow {
  const given = (row.fields ?? {}) as Partial<Record<keyof PostFields, unknown>>;
  const unsound = FIELD_KEYS.filter((key) => !isSound(key, given[key]));
  if (unsound.length === 0) return row;
  // A row of an earlier release lacks what came since: that is no damage.
  const damaged = unsound.filter((key) => given[key] !== undefined);
  if (damaged.length > 0) console.error(`The post ${row.id} is damaged; left empty: ${damaged.join(', ')}.`);
  const mended = { ...EMPTY, ...given } as Record<string, unknown>;
  for (const key of unsound) mended[key] = EMPTY[key];
  return { ...row, fields: mended as unknown as PostFields };
}

/** Posts of a site that are not deleted. */
export const postsOf = async (siteId: string): Promise<PostRow[]> =>
  (await database().posts.where('[siteId+deleted]').equals([siteId, '']).toArray()).map(soundRow);

/** Rows that are taken out of the database in one go: more would hold the page up. */
const SLICE = 300;

/** The same, read slice by slice, so that a page with thousands of posts stays at hand while they come. */
export async function postsOfInSlices(siteId: string): Promise<PostRow[]> {
  const { posts } = database();
  const keys = await posts.where('[siteId+deleted]').equals([siteId, '']).primaryKeys();
  if (keys.length <= SLICE) return postsOf(siteId);
  keys.sort();
  const rows: PostRow[] = [];
  for (let from = 0; from < keys.length; from += SLICE) {
    const last = keys[Math.min(from + SLICE, keys.length) - 1];
    const slice = await posts.where('id').between(keys[from], last, true, true).toArray();
    for (const row of slice) if (row.siteId === siteId && row.deleted === '') rows.push(soundRow(row));
  }
  return rows;
}

/** Adds a post and answers its id. */
export async function addPost(
  siteId: string,
  id: string,
  now: string,
  document: PostDocument = { fields: emptyFields(), draft: emptyDraft() },
  startedFrom?: string,
): Promise<string> {
  const { posts, bodies } = database();
  await database().transaction('rw', posts, bodies, async () => {
    await posts.add({
      id,
      siteId,
      revision: 1,
      changed: now,
      deleted: '',
      fields: document.fields,
      ...(startedFrom ? { startedFrom } : {}),
    });
    await bodies.add({ postId: id, siteId, draft: document.draft, outline: [] });
  });
  return id;
}

/** A body as it is scored and goes out: without headings that still wait for their text. */
export const finishedBody = (body: Pick<BodyRow, 'draft' | 'outline'> | undefined): Draft =>
  body ? finishedDraft(body.draft, body.outline) : emptyDraft();

/** A post as it lies in the database. */
export interface LoadedPost {
  row: PostRow;
  draft: Draft;
  outline: OutlineItem[];
}

/** The revision of a post; null where it is not there. */
export const revisionOf = async (id: string): Promise<number | null> =>
  (await database().posts.get(id))?.revision ?? null;

/** A post with its body, or null. */
export async function loadPost(id: string): Promise<LoadedPost | null> {
  const [row, body] = await Promise.all([database().posts.get(id), database().bodies.get(id)]);
  if (row?.deleted !== '') return null;
  const draft = Array.isArray(body?.draft?.blocks) ? body.draft : emptyDraft();
  return { row: soundRow(row), draft, outline: Array.isArray(body?.outline) ? body.outline : [] };
}

/** Saves a post where it still has the revision it was read with; answers the new revision. Throws {@link StaleWrite}. */
export async function savePost(post: {
  id: string;
  revision: number;
  now: string;
  document: PostDocument;
  outline: OutlineItem[];
}): Promise<number> {
  const { posts, bodies } = database();
  return database().transaction('rw', posts, bodies, async () => {
    const row = await posts.get(post.id);
    if (!row || row.revision !== post.revision) throw new StaleWrite('This post was changed in another tab.');
    const revision = row.revision + 1;
    await posts.put({ ...row, revision, changed: post.now, fields: post.document.fields });
    await bodies.put({
      postId: post.id,
      siteId: row.siteId,
      draft: post.document.draft,
      outline: post.outline,
    });
    return revision;
  });
}

/**
 * Takes a change of a post back in its row, as that stands now. Answers in words what was changed since and stays, or
 * why nothing could be taken back; empty where all of it went back.
 */
export async function takeBackInRow(
  id: string,
  before: PostContent,
  after: PostContent,
  now: string,
): Promise<string> {
  const { posts, bodies } = database();
  return database().transaction('rw', posts, bodies, async () => {
    const stored = await loadPost(id);
    if (!stored) return 'The post is gone; nothing was taken back.';
    const { row, draft, outline } = stored;
    const { content, left } = contentTakenBack(before, after, {
      document: { fields: row.fields, draft },
      outline,
    });
    await savePost({ id, revision: row.revision, now, ...content });
    return left;
  });
}

/** Marks posts as deleted, or brings them back with an empty instant. */
export async function setDeleted(ids: readonly string[], instant: string): Promise<void> {
  await database().transaction('rw', database().posts, async () => {
    for (const id of ids) {
      const row = await database().posts.get(id);
      if (row) await database().posts.put({ ...row, deleted: instant, revision: row.revision + 1 });
    }
  });
}

/** Removes posts for good, with all that belongs to them; answers the way back, which puts these rows in again. */
export async function removePosts(ids: readonly string[]): Promise<() => Promise<void>> {
  const { posts, bodies, scores, versions, ticks, briefs, generations, talks, recordings, reuses } =
    database();
  const tables = [posts, bodies, scores, versions, ticks, briefs, generations, talks, recordings, reuses];
  if (ids.length === 0) return async () => {};
  const gone = new Set(ids);
  const rows = await database().transaction('rw', tables, async () => {
    const found: object[][] = [];
    for (const table of tables) {
      const own = (await table
        .filter((row) => gone.has('postId' in row ? row.postId : (row as PostRow).id))
        .toArray()) as object[];
      found.push(own);
      await table.filter((row) => gone.has('postId' in row ? row.postId : (row as PostRow).id)).delete();
    }
    return found;
  });
  return () =>
    database().transaction('rw', tables, async () => {
      for (const [at, table] of tables.entries()) await (table as Table<object>).bulkPut(rows[at]);
    });
}
