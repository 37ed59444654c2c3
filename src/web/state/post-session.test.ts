import 'fake-indexeddb/auto';
import { beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { database, openDatabase } from '../data/database.ts';
import { addPost, loadPost } from '../data/posts.ts';

vi.mock('../workers/scoring-client.ts', () => ({
  ScoringClient: class {
    setScene() {}
    request() {}
    close() {}
  },
}));

vi.mock('sonner', () => ({ toast: () => {} }));

beforeAll(() => {
  vi.stubGlobal('addEventListener', () => {});
  vi.stubGlobal('removeEventListener', () => {});
  vi.stubGlobal('document', { addEventListener: () => {}, removeEventListener: () => {} });
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('requestAnimationFrame', () => 1);
  vi.stubGlobal('cancelAnimationFrame', () => {});
});

beforeEach(async () => {
  openDatabase('sessions');
  await Promise.all(database().tables.map((table) => table.clear()));
  for (const id of ['a', 'b']) {
    const document = { fields: { ...emptyFields(), title: id }, draft: readMarkdown(`Body of ${id}.`).draft };
    await addPost('s', id, '2026-11-01T09:00:00Z', document);
  }
});

describe('leaving a post for another', () => {
  it('saves the one that is left as it was, though a save is under way and the other is open already', async () => {
    const { PostSession } = await import('./post-session.ts');
    const { store } = await import('./store.ts');
    const { postOpened } = await import('./open-post.ts');
    const other = (await loadPost('b'))!.row;
    const first = (await PostSession.open('a'))!;
    first.setFields({ slug: 'first' });
    const underWay = first['write']();
    // Let that save begin: it has read its fields and waits for the database.
    await Promise.resolve();
    first.setFields({ title: 'a, changed last' });
    const closing = first.close();
    store.dispatch(
      postOpened({ id: 'b', siteId: 's', fields: other.fields, outline: [], changed: other.changed }),
    );
    await Promise.all([underWay, closing]);
    const kept = (await loadPost('a'))!;
    expect(kept.row.fields).toMatchObject({ title: 'a, changed last', slug: 'first' });
    expect(kept.draft.blocks[0].text).toBe('Body of a.');
    expect((await loadPost('b'))!.row.fields.title).toBe('b');
    expect(store.getState().openPost).toMatchObject({ id: 'b', save: 'saved' });
  });
});
