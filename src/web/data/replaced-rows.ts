import equal from 'fast-deep-equal/es6';
import { fieldsTakenBack } from '../../core/draft/index.ts';
import { counted } from '../ui/figures.ts';
import { database } from './database.ts';
import { contentTakenBack, type PostContent } from './post-content.ts';
import type { BodyRow, PostRow, SiteRow } from './post-rows.ts';
import { savePost } from './posts.ts';
import { keepVersion } from './versions.ts';

type Key = string | number | (string | number)[];
type Row = Record<string, unknown>;

/** One row that a step put in, changed or took out; not there: undefined. */
interface ReplacedRow {
  key: Key;
  before: Row | undefined;
  after: Row | undefined;
}

/** What a step that replaces much changed: by table, by the row's key in JSON. */
export type ReplacedRows = Map<string, Map<string, ReplacedRow>>;

/** Scores are computed anew; files are shared by their content and go with the next tidying; recordings are in no backup, so none takes them. */
const LEFT_OUT = new Set(['scores', 'blobs', 'recordings']);

const tables = () => database().tables.filter(({ name }) => !LEFT_OUT.has(name));

type KeyedRows = Map<string, { key: Key; row: Row }>;

/** Every row of every table, one table after the other: within a transaction nothing may run beside it. */
async function allRows(): Promise<Map<string, KeyedRows>> {
  const all = new Map<string, KeyedRows>();
  for (const table of tables()) {
    const { keyPath } = table.schema.primKey;
    const rows: KeyedRows = new Map();
    for (const row of (await table.toArray()) as Row[]) {
      const key = Array.isArray(keyPath) ? keyPath.map((part) => row[part]) : row[keyPath as string];
      rows.set(JSON.stringify(key), { key: key as Key, row });
    }
    all.set(table.name, rows);
  }
  return all;
}

/** Does a step that replaces much; answers also what it changed. */
export async function withReplacedRows<Answer>(
  step: () => Promise<Answer>,
): Promise<{ answer: Answer; replaced: ReplacedRows }> {
  const before = await allRows();
  const answer = await step();
  const after = await allRows();
  const replaced: ReplacedRows = new Map();
  for (const [name, were] of before) {
    const are = after.get(name) as KeyedRows;
    const changed = new Map<string, ReplacedRow>();
    for (const [id, { key }] of [...were, ...are]) {
      const [was, is] = [were.get(id)?.row, are.get(id)?.row];
      if (!equal(was, is)) changed.set(id, { key, before: was, after: is });
    }
    replaced.set(name, changed);
  }
  return { answer, replaced };
}

const contentOf = (post: Row | undefined, body: Row | undefined): PostContent | null => {
  if (!post || !body) return null;
  const { fields } = post as unknown as PostRow;
  const { draft, outline } = body as unknown as BodyRow;
  return { document: { fields, draft }, outline };
};

/**
 * Takes a step that replaced much back: every row that stands as the step left it is as it was before. A post that was
 * written in since is kept as a version first, and of it goes back what was not; one that came with the step and was
 * written in since stays, as does its site. Answers in words what stays; empty where all of it went back.
 */
export async function takeReplacedBack(replaced: ReplacedRows, now: string): Promise<string> {
  const db = database();
  return db.transaction('rw', db.tables, async () => {
    const back = new WayBack(replaced, now);
    await back.posts();
    for (const { name } of tables())
      if (!['posts', 'bodies', 'versions', 'sites'].includes(name)) await back.table(name);
    await back.table('versions');
    await back.sites();
    await db.keywords.filter(({ stamp }) => stamp !== undefined).modify({ stamp: Date.parse(now) });
    return back.inWords();
  });
}

/** Whether anything stands in a site. */
async function isInhabited(siteId: string): Promise<boolean> {
  for (const table of tables())
    if (
      table.schema.indexes.some(({ keyPath }) => keyPath === 'siteId') &&
      (await table.where('siteId').equals(siteId).count()) > 0
    )
      return true;
  return false;
}

/** One taking back, within a transaction over all tables. */
class WayBack {
  /** Titles of posts that were written in since. */
  private readonly written: string[] = [];
  private left = 0;
  /** Posts, and the sites of them, that stay though they came with the step. */
  private readonly stay = new Set<string>();

  constructor(
    private readonly replaced: ReplacedRows,
    private readonly now: string,
  ) {}

  inWords(): string {
    const said: string[] = [];
    if (this.written.length === 1)
      said.push(`${this.written[0]} was written in since: those words are kept, there or under Versions.`);
    else if (this.written.length > 1)
      said.push(
        `${counted(this.written.length, 'post')} were written in since: those words are kept, there or under Versions.`,
      );
    if (this.left === 1) said.push('One other thing that was changed since stays as it is.');
    else if (this.left > 1) said.push(`${this.left} other things that were changed since stay as they are.`);
    return said.join(' ');
  }

  private changesOf(name: string): ReplacedRow[] {
    return [...(this.replaced.get(name)?.values() ?? [])];
  }

  async posts(): Promise<void> {
    const { posts, bodies } = database();
    const of = (name: string, id: string) => this.replaced.get(name)?.get(JSON.stringify(id));
    const ids = new Set(
      ['posts', 'bodies'].flatMap((name) => this.changesOf(name).map(({ key }) => key as string)),
    );
    for (const id of ids) {
      const [row, body] = [await posts.get(id), await bodies.get(id)];
      const [post, text] = [of('posts', id), of('bodies', id)];
      // A table that the step did not touch holds for before and after what it holds now.
      const was = {
        post: post ? post.before : (row as Row | undefined),
        body: text ? text.before : (body as Row | undefined),
      };
      const set = {
        post: post ? post.after : (row as Row | undefined),
        body: text ? text.after : (body as Row | undefined),
      };
      const untouched = (!post || equal(row, post.after)) && (!text || equal(body, text.after));
      if (untouched) await this.putPost(id, was.post as PostRow | undefined, was.body as BodyRow | undefined);
      else if (row && body)
        await this.mendPost(row, body, contentOf(was.post, was.body), contentOf(set.post, set.body));
    }
  }

  private async putPost(id: string, post: PostRow | undefined, body: BodyRow | undefined): Promise<void> {
    const { posts, bodies } = database();
    const revision = (await posts.get(id))?.revision ?? 0;
    // An open tab must not take what is put back for what it holds.
    if (post) await posts.put({ ...post, revision: Math.max(post.revision, revision) + 1 });
    else await posts.delete(id);
    if (body) await bodies.put(body);
    else await bodies.delete(id);
  }

  private async mendPost(
    row: PostRow,
    body: BodyRow,
    before: PostContent | null,
    after: PostContent | null,
  ): Promise<void> {
    this.written.push(`“${row.fields.title || 'Untitled'}”`);
    const content = contentOf(row as unknown as Row, body as unknown as Row) as PostContent;
    if (!before || !after) {
      this.stay.add(row.id).add(row.siteId);
      return;
    }
    await keepVersion({ siteId: row.siteId, postId: row.id }, content, 'restore', this.now);
    const { content: mended } = contentTakenBack(before, after, content);
    await savePost({ id: row.id, revision: row.revision, now: this.now, ...mended });
  }

  /** Rows of a table that stand as the step left them. */
  async table(name: string): Promise<void> {
    const table = database().table(name);
    for (const { key, before, after } of this.changesOf(name)) {
      const stands = (await table.get(key)) as Row | undefined;
      const { postId, siteId } = (after ?? {}) as { postId?: string; siteId?: string };
      // What belongs to a post that stays does too.
      if (!before && this.stay.has(name === 'versions' || postId ? (postId ?? '') : (siteId ?? ''))) continue;
      if (!equal(stands, after)) this.left += 1;
      else if (before) await table.put(before);
      else await table.delete(key);
    }
  }

  async sites(): Promise<void> {
    const { sites } = database();
    for (const { key, before, after } of this.changesOf('sites')) {
      const stands = await sites.get(key as string);
      if (!before) {
        // What was begun there since would stand nowhere without its site.
        if (await isInhabited(key as string)) this.left += this.stay.has(key as string) ? 0 : 1;
        else await sites.delete(key as string);
      } else if (!after || !stands) await sites.put((stands ?? before) as SiteRow);
      else {
        const { value, left } = fieldsTakenBack(before, after, stands as unknown as Row);
        this.left += left > 0 ? 1 : 0;
        await sites.put({ ...(value as unknown as SiteRow), revision: stands.revision + 1 });
      }
    }
  }
}
