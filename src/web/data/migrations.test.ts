import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { database, openDatabase } from './database.ts';
import first from './fixtures/database-1.json' with { type: 'json' };
import { pictureBlob } from './picture-store.ts';
import { loadPost, savePost } from './posts.ts';
import { currentSite, pagesOf } from './sites.ts';

/** The schema that the first release wrote; it never changes. */
const FIRST_SCHEMA = {
  sites: 'id',
  posts: 'id, siteId, [siteId+deleted]',
  bodies: 'postId, siteId',
  pictures: '[siteId+name], siteId, sha',
  blobs: 'sha',
  scores: 'postId, siteId',
};

describe('a database of the first schema', () => {
  it('is opened by today’s code with everything in it, and written on', async () => {
    const old = new Dexie('migrated');
    old.version(1).stores(FIRST_SCHEMA);
    for (const name of ['sites', 'posts', 'bodies', 'pictures'] as const)
      await old.table(name).bulkAdd(structuredClone(first[name]));
    await old.table('blobs').bulkAdd(first.blobs.map(({ sha, text }) => ({ sha, blob: new Blob([text]) })));
    old.close();

    await openDatabase('migrated').open();
    const loaded = (await loadPost('tides'))!;
    expect(loaded.row).toEqual(first.posts[0]);
    expect(loaded.draft).toEqual(first.bodies[0].draft);
    expect((await currentSite())?.name).toBe('Saltmarsh Wheelworks');
    expect(await currentSite()).not.toHaveProperty('pages');
    expect(await pagesOf('site-1')).toEqual(
      expect.arrayContaining([
        { address: '/rent', title: 'Rent a bicycle' },
        { address: 'https://saltmarsh.example/about' },
      ]),
    );
    expect(await (await pictureBlob('site-1', 'media/dyke.png'))?.text()).toBe('png');
    const document = { fields: loaded.row.fields, draft: loaded.draft };
    expect(
      await savePost({ id: 'tides', revision: 7, now: '2026-11-02T09:00:00Z', document, outline: [] }),
    ).toBe(8);
  });
});

describe('the schema', () => {
  it('carries the site in every table that belongs to one, from its own index on', () => {
    const shared = ['sites', 'blobs'];
    for (const { name, schema } of database().tables) {
      if (shared.includes(name)) continue;
      const paths = [schema.primKey, ...schema.indexes].map(({ keyPath }) => keyPath);
      expect([name, paths.includes('siteId')]).toEqual([name, true]);
      // A compound index begins with the site, so that no query reads another site's rows.
      for (const path of paths) if (Array.isArray(path)) expect([name, path[0]]).toEqual([name, 'siteId']);
    }
  });
});
