import 'fake-indexeddb/auto';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ScoreReport } from '../../../core/criteria/index.ts';
import { emptyFields, readMarkdown } from '../../../core/draft/index.ts';
import { database, openDatabase } from '../../data/database.ts';
import { addPost, loadPost, savePost, setDeleted } from '../../data/posts.ts';
import { versionsOf } from '../../data/versions.ts';
import { readVisits, writeNow } from '../../data/visit-store.ts';
import { store } from '../store.ts';
import { bringLastWords } from './last-words.ts';
import { scored } from './open-post.ts';
import { standInForThePage, until } from './page-stand-in.test-data.ts';
import { PostSession } from './post-session.ts';

vi.mock('../../workers/scoring-client.ts', () => ({
  ScoringClient: class {
    start() {}
    request() {}
    close() {}
  },
}));
// A worker that never answers.
vi.mock('../../workers/jobs-client.ts', () => ({ jobsWorker: () => new Promise(() => {}) }));
const said: { text: string; undo?: () => void }[] = [];
vi.mock('sonner', () => {
  const toast = (text: string, given?: { action?: { onClick: () => void } }) =>
    said.push({ text, undo: given?.action?.onClick });
  return { toast: Object.assign(toast, { error: toast, success: toast }) };
});

beforeAll(standInForThePage);

const item = (id: string, text = id) => ({ id, level: 2, text, note: '' });
const stored = async (id: string) => (await loadPost(id))!;
const title = async (id: string) => (await stored(id)).row.fields.title;
const text = async (id: string) => (await stored(id)).draft.blocks.map((block) => block.text);
const shown = () => store.getState().openPost;
const withText = (session: PostSession, md: string) => ({
  ...session.body,
  blocks: readMarkdown(md).draft.blocks,
});

const visits: PostSession[] = [];
async function visit(id: string): Promise<PostSession> {
  const session = (await PostSession.open(id))!;
  visits.push(session);
  return session;
}

beforeEach(async () => {
  said.length = 0;
  openDatabase('sessions');
  await Promise.all(database().tables.map((table) => table.clear()));
  for (const id of ['a', 'b']) {
    const document = {
      fields: { ...emptyFields(), title: id },
      draft: readMarkdown(`Body of ${id}.\n\nSecond.`).draft,
    };
    await addPost('s', id, '2026-11-01T09:00:00Z', document);
  }
});
afterEach(async () => {
  vi.restoreAllMocks();
  await Promise.all(visits.splice(0).map((session) => session.close()));
});

describe('leaving a post', () => {
  it('saves it as it was left, though a save is under way and another post is open already', async () => {
    const first = await visit('a');
    first.setFields({ slug: 'first' });
    const underWay = first.saved();
    // Let that save begin: it has read its fields and waits for the database.
    await Promise.resolve();
    first.setFields({ title: 'a, changed last' });
    const closing = first.close();
    await visit('b');
    await Promise.all([underWay, closing]);
    expect((await stored('a')).row.fields).toMatchObject({ title: 'a, changed last', slug: 'first' });
    expect(await text('a')).toEqual(['Body of a.', 'Second.']);
    expect(await title('b')).toBe('b');
    expect(shown()).toMatchObject({ id: 'b', save: 'saved' });
  });
  it('and coming back at once shows it whole, and saves it whole', async () => {
    const first = await visit('a');
    first.setFields({ slug: 'kept' });
    const closing = first.close();
    const again = await visit('a');
    expect(shown().fields).toMatchObject({ title: 'a', slug: 'kept' });
    await closing;
    expect(shown()).toMatchObject({ id: 'a', fields: { title: 'a', slug: 'kept' } });
    again.setFields({ excerpt: 'x' });
    await again.saved();
    expect((await stored('a')).row.fields).toMatchObject({ title: 'a', slug: 'kept', excerpt: 'x' });
  });
  it('before it has opened shows nothing of it', async () => {
    await visit('b');
    const left = new AbortController();
    const opening = PostSession.open('a', left.signal);
    left.abort();
    expect(await opening).toBeNull();
    expect(shown().id).toBe('b');
  });
  it('is not held up by a worker that never loads', async () => {
    const session = await visit('a');
    await session.keepVersion('named', 'Kept by hand');
    session.setFields({ title: 'a2' });
    await session.close();
    expect(await title('a')).toBe('a2');
  });
  it('ends all that it can do', async () => {
    const session = await visit('a');
    await session.close();
    session.setFields({ title: 'late' });
    session.changeOutline([], [item('late')]);
    session.change({ draft: withText(session, 'Late.') });
    await session.saved();
    const { row, outline } = await stored('a');
    expect([row.fields.title, outline, await text('a')]).toEqual(['a', [], ['Body of a.', 'Second.']]);
  });
});

/** A visit that ends with nothing of it saved, as where the page goes between two saves. */
async function endedVisit(id: string, work: (session: PostSession) => void): Promise<void> {
  const session = (await PostSession.open(id))!;
  const put = vi.spyOn(database().posts, 'put').mockRejectedValue(new Error('The page is gone.'));
  work(session);
  await session.close();
  put.mockRestore();
}

describe('a page that ends before its last words are saved', () => {
  it('has them at the next opening: fields, outline and body', async () => {
    await endedVisit('a', (session) => {
      session.setFields({ title: 'Last words' });
      session.change({
        draft: withText(session, 'Body of a.\n\nSecond, and a third.'),
        outline: [item('1')],
      });
    });
    expect(await title('a')).toBe('a');
    const next = await visit('a');
    expect(next.document.fields.title).toBe('Last words');
    expect(await text('a')).toEqual(['Body of a.', 'Second, and a third.']);
    expect((await stored('a')).outline).toEqual([item('1')]);
    expect(await readVisits('unsaved')).toEqual([]);
  });
  it('has them once: what is written afterwards stays', async () => {
    await endedVisit('a', (session) => session.setFields({ title: 'Last words' }));
    const next = await visit('a');
    next.setFields({ title: 'Newer' });
    await next.close();
    expect((await visit('a')).document.fields.title).toBe('Newer');
  });
  it('keeps them beside the post where that was written since', async () => {
    await endedVisit('a', (session) =>
      session.change({ draft: withText(session, 'Body of a, longer.\n\nSecond.') }),
    );
    const { row, draft, outline } = await stored('a');
    const document = { fields: { ...row.fields, title: 'Restored meanwhile' }, draft };
    await savePost({ id: 'a', revision: row.revision, now: '2026-11-02T09:00:00Z', document, outline });
    expect((await visit('a')).document.fields.title).toBe('Restored meanwhile');
    const [version] = await versionsOf('s', 'a');
    expect(version.reason).toBe('aside');
    expect(version.draft.blocks.map((block) => block.text)).toContain('Body of a, longer.');
    expect(said.at(-1)?.text).toContain('kept under Versions');
  });
  it('opens all the same where they cannot be read', async () => {
    await endedVisit('a', (session) => session.setFields({ title: 'Last words' }));
    const [row] = await readVisits('unsaved');
    await writeNow('unsaved', row.visit, { ...row, body: null } as never);
    vi.spyOn(console, 'error').mockImplementation(() => {});
    expect((await visit('a')).document.fields.title).toBe('a');
    await writeNow('unsaved', row.visit, null);
  });
  it('takes them in where two tabs open it in the same moment', async () => {
    await endedVisit('a', (session) => session.setFields({ title: 'Last words' }));
    await Promise.all([bringLastWords('a'), bringLastWords('a')]);
    expect(await title('a')).toBe('Last words');
    expect(await readVisits('unsaved')).toEqual([]);
  });
  it('waits with those of a post in the trash until that comes back', async () => {
    await endedVisit('a', (session) => session.setFields({ title: 'Last words' }));
    await setDeleted(['a'], '2026-11-02T09:00:00Z');
    expect(await PostSession.open('a')).toBeNull();
    await setDeleted(['a'], '');
    expect((await visit('a')).document.fields.title).toBe('Last words');
  });
  it('leaves the words of a visit that goes on alone', async () => {
    const living = await visit('a');
    living.setFields({ title: 'Being written' });
    await bringLastWords('a', living.key);
    expect(await title('a')).toBe('a');
  });
});

describe('an undo', () => {
  it('goes to its own post, whichever is open by then', async () => {
    const session = await visit('a');
    const takeBack = session.change({ fields: { title: 'A', slug: 'A', keyword: 'A' } });
    await session.close();
    await visit('b');
    expect(await takeBack()).toBe('');
    expect((await stored('a')).row.fields).toMatchObject({ title: 'a', slug: '', keyword: '' });
    expect((await stored('b')).row.fields).toMatchObject({ title: 'b', slug: '' });
    expect(shown().fields.title).toBe('b');
  });
  it('goes to the visit that has its post open now', async () => {
    const session = await visit('a');
    const takeBack = session.change({ fields: { title: 'A' } });
    await session.close();
    const again = await visit('a');
    again.setFields({ slug: 'since' });
    await takeBack();
    expect(shown().fields).toMatchObject({ title: 'a', slug: 'since' });
    await again.saved();
    expect((await stored('a')).row.fields).toMatchObject({ title: 'a', slug: 'since' });
  });
  it('takes back its own change and nothing that came since', async () => {
    const session = await visit('a');
    const outline = [item('x'), item('k'), item('y')];
    session.changeOutline([], outline);
    const backX = session.changeOutline(outline, outline.slice(1));
    session.changeOutline(outline.slice(1), [item('k')]);
    await backX();
    expect(shown().outline.map(({ id }) => id)).toEqual(['x', 'k']);
  });
  it('leaves what was changed since, and says so', async () => {
    const session = await visit('a');
    const takeBack = session.change({ fields: { title: 'Fixed', slug: 'fixed' } });
    session.setFields({ title: 'Fixed, and written on' });
    expect(await takeBack()).toMatch(/stays as it is: the title\./);
    expect(shown().fields).toMatchObject({ title: 'Fixed, and written on', slug: '' });
  });
  it('leaves words written since beside what was put in, and takes the rest back', async () => {
    const session = await visit('a');
    const [first, second] = session.body.blocks;
    const takeBack = session.change({
      draft: { ...session.body, blocks: [{ ...first, text: 'Mended.' }, second] },
    });
    const own = { ...second, text: 'Written since.' };
    session.change({ draft: { ...session.body, blocks: [session.body.blocks[0], own] } });
    expect(await takeBack()).toBe('');
    expect(session.body.blocks.map((block) => block.text)).toEqual(['Body of a.', 'Written since.']);
  });
  it('of a post that is gone says so', async () => {
    const session = await visit('a');
    const takeBack = session.change({ fields: { title: 'A' } });
    await session.close();
    await setDeleted(['a'], '2026-11-02T09:00:00Z');
    expect(await takeBack()).toMatch(/gone/);
  });
});

describe('an outline that a worker makes', () => {
  it('keeps a heading that was typed meanwhile', async () => {
    const session = await visit('a');
    session.changeOutline([], [item('k')]);
    const from = shown().outline;
    session.changeOutline(from, [...from, item('typed')]);
    session.changeOutline(from, [item('gap'), ...from]);
    expect(shown().outline.map(({ id }) => id)).toEqual(['gap', 'k', 'typed']);
  });
});

/** A report as scoring answers it. */
const report = { score: 70, criteria: [], groups: [] } as unknown as ScoreReport;
const scoredVisit = async (id: string): Promise<PostSession> => {
  const session = await visit(id);
  store.dispatch(scored({ session: session.key, answer: { report, words: 4, coverage: null } as never }));
  return session;
};

describe('a trial', () => {
  it('that is left goes on at the next visit, and is taken back from there', async () => {
    const session = await scoredVisit('a');
    await session.beginTrial();
    session.setFields({ title: 'Try' });
    await session.close();
    await visit('b');
    expect(shown().trial).toBeNull();
    const again = await visit('a');
    expect(shown().trial).toEqual({ report, words: 4 });
    expect(shown().fields.title).toBe('Try');
    again.endTrial('take-back');
    await again.saved();
    expect(await title('a')).toBe('a');
    await again.close();
    await visit('a');
    expect(shown().trial).toBeNull();
  });
  it('is taken back as a whole, and that can be undone', async () => {
    const session = await scoredVisit('a');
    await session.beginTrial();
    session.change({ fields: { title: 'Try' }, draft: withText(session, 'Tried.') });
    session.endTrial('take-back');
    expect(shown().fields.title).toBe('a');
    expect(session.body.blocks[0].text).toBe('Body of a.');
    said.at(-1)!.undo!();
    await until(() => shown().fields.title === 'Try');
    expect(session.body.blocks[0].text).toBe('Tried.');
  });
});

describe('two writers of one post', () => {
  async function writtenElsewhere(fields: object) {
    const { posts } = database();
    const row = (await posts.get('a'))!;
    await posts.put({ ...row, revision: row.revision + 1, fields: { ...row.fields, ...fields } });
  }
  it('keep both: what came late becomes a version, and the post goes on as it is stored', async () => {
    const session = await visit('a');
    session.setFields({ title: 'mine' });
    await writtenElsewhere({ title: 'theirs' });
    await session.saved();
    expect(shown().fields.title).toBe('theirs');
    expect((await versionsOf('s', 'a')).map(({ reason, fields }) => [reason, fields.title])).toEqual([
      ['aside', 'mine'],
    ]);
    session.setFields({ slug: 'on' });
    await session.saved();
    expect((await stored('a')).row.fields).toMatchObject({ title: 'theirs', slug: 'on' });
  });
  it('lose nothing where keeping it aside fails: it is tried again, and saving goes on', async () => {
    const session = await visit('a');
    const add = vi
      .spyOn(database().versions, 'add')
      .mockRejectedValueOnce(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
    session.setFields({ title: 'mine' });
    await writtenElsewhere({ title: 'theirs' });
    await session.saved();
    expect(shown()).toMatchObject({ save: 'failed', fields: { title: 'mine' } });
    expect(session.unsaved).toMatch(/storage is full/);
    await session.saved();
    expect(add).toHaveBeenCalledTimes(2);
    expect(shown()).toMatchObject({ save: 'saved', fields: { title: 'theirs' } });
    expect(session.unsaved).toBe('');
    expect((await versionsOf('s', 'a'))[0].fields.title).toBe('mine');
  });
});

describe('storage that is full', () => {
  it('is said, and what is written stays on the screen and is tried again when the post is left', async () => {
    const session = await visit('a');
    const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' });
    const put = vi.spyOn(database().bodies, 'put').mockRejectedValue(full);
    session.setFields({ title: 'unsaved' });
    await session.saved();
    expect(session.unsaved).toMatch(/storage is full/);
    expect(session.finished.fields.title).toBe('unsaved');
    await session.close();
    expect(said.at(-1)!.text).toMatch(/"unsaved" could not be saved before it was left/);
    put.mockRestore();
  });
});
