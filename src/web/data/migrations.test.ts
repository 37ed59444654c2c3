import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { describe, expect, it, vi } from 'vitest';
import { emptyFields } from '../../core/draft/index.ts';
import { database, openDatabase } from './database.ts';
import first from './fixtures/database-1.json' with { type: 'json' };
import second from './fixtures/database-2.json' with { type: 'json' };
import third from './fixtures/database-3.json' with { type: 'json' };
import fourth from './fixtures/database-4.json' with { type: 'json' };

/** The schemas as earlier releases wrote them; they never change. */
const FIRST = {
  sites: 'id',
  posts: 'id, siteId, [siteId+deleted]',
  bodies: 'postId, siteId',
  pictures: '[siteId+name], siteId, sha',
  blobs: 'sha',
  scores: 'postId, siteId',
};
const SECOND = {
  ...FIRST,
  pages: '[siteId+path], siteId',
  versions: 'id, siteId, [siteId+postId]',
  pictures: '[siteId+name], siteId, [siteId+sha]',
};

const THIRD = { ...SECOND, ticks: '[siteId+postId], siteId' };

const FOURTH = {
  ...THIRD,
  keywords: '[siteId+chunk], siteId',
  performance: '[siteId+chunk], siteId',
  lists: 'id, siteId',
  ideas: 'id, siteId',
};

const FIFTH = {
  ...FOURTH,
  studies: 'id, siteId',
  studyPages: '[siteId+key], siteId',
  briefs: 'postId, siteId',
  generations: 'id, siteId, [siteId+postId]',
};
const NINTH = {
  ...FIFTH,
  generations: 'id, siteId, [siteId+postId], [siteId+postId+recipe], [siteId+postId+asked.taken]',
  talks: 'postId, siteId',
  recordings: 'postId, siteId',
  reuses: 'id, siteId, [siteId+postId]',
};
const TENTH = { ...NINTH, audits: '[siteId+day], siteId', pageReads: '[siteId+path], siteId' };
const NO_TALKS = { talks: [], recordings: [], reuses: [] };
const NO_STUDIES = { studies: [], studyPages: [], briefs: [], generations: [] };

/** A text that came back for a brief, as it is kept since version 5. */
const CAME_BACK = {
  id: 'generation-1',
  siteId: 'site-1',
  postId: 'tides',
  at: '2026-11-01T00:00:00Z',
  recipe: 'brief',
  title: 'Came back',
  input: '',
  output: 'The tide turns at noon.',
};

/** The one performance export that was kept until version 10. */
const EXPORT = {
  siteId: 'site-1',
  chunk: 0,
  source: { name: 'export.csv', date: '2026-11-01' },
  rows: [{ query: 'tide', page: '/tides', clicks: 3, impressions: 40, position: 5 }],
};
const TENTH_ROWS = {
  ...fourth,
  ...NO_STUDIES,
  ...NO_TALKS,
  generations: [CAME_BACK],
  performance: [EXPORT],
  audits: [],
  pageReads: [],
};

/** A study as it is begun. */
const study = {
  id: 'study-1',
  siteId: 'site-1',
  query: 'tide table',
  region: 'GB',
  made: '2026-11-01T00:00:00Z',
  revision: 1,
  posts: [] as string[],
  earlier: '',
  pages: [],
  asked: [],
  phrases: [],
  choices: { pinned: [], dropped: [], added: [] },
  facts: null,
};

describe.each([
  { version: 1, schema: FIRST, rows: first },
  { version: 2, schema: SECOND, rows: second },
  { version: 3, schema: THIRD, rows: third },
  { version: 4, schema: FOURTH, rows: fourth },
  { version: 5, schema: FIFTH, rows: { ...fourth, ...NO_STUDIES } },
  { version: 7, schema: FIFTH, rows: { ...fourth, ...NO_STUDIES, generations: [CAME_BACK] } },
  { version: 10, schema: TENTH, rows: TENTH_ROWS },
  { version: 9, schema: NINTH, rows: { ...fourth, ...NO_STUDIES, ...NO_TALKS, generations: [CAME_BACK] } },
])('a database of schema $version', ({ version, schema, rows }) => {
  it('is opened by today’s code with everything in it, and written on', async () => {
    const name = `migrated-${version}`;
    const old = new Dexie(name);
    old.version(version).stores(schema);
    for (const table of Object.keys(schema))
      if (table !== 'blobs') await old.table(table).bulkAdd(structuredClone((rows as never)[table]));
    await old.table('blobs').bulkAdd(rows.blobs.map(({ sha, text }) => ({ sha, blob: new Blob([text]) })));
    old.close();

    vi.resetModules();
    const { database, openDatabase } = await import('./database.ts');
    const { loadPost, savePost } = await import('./posts.ts');
    const { currentSite, pagesOf } = await import('./sites.ts');
    const { pictureBlob } = await import('./picture-store.ts');
    const { versionsOf } = await import('./versions.ts');
    await openDatabase(name).open();
    const loaded = (await loadPost('tides'))!;
    // Fields that came since are empty.
    expect(loaded.row).toEqual({
      ...rows.posts[0],
      fields: { ...emptyFields(), ...rows.posts[0].fields },
    });
    expect(loaded.draft).toEqual(rows.bodies[0].draft);
    const site = await currentSite();
    expect(site).toMatchObject({
      name: 'Saltmarsh Wheelworks',
      house: { authors: version < 3 ? [] : ['Ines Tarn'], checklist: version < 3 ? [] : [{ id: 'c1' }] },
    });
    expect(site).not.toHaveProperty('pages');
    expect(await pagesOf('site-1')).toEqual(
      expect.arrayContaining([
        { address: '/rent', title: 'Rent a bicycle' },
        { address: 'https://saltmarsh.example/about' },
      ]),
    );
    if (version > 1)
      expect((await versionsOf('site-1', 'tides')).map((row) => row.name)).toEqual(['Before the tide']);
    if (version > 2) expect(await database().ticks.toArray()).toEqual(third.ticks);
    if (version > 3) {
      const { listsOf } = await import('./lists.ts');
      const { readKeywords } = await import('./keyword-chunks.ts');
      expect(await listsOf('site-1')).toEqual(fourth.lists);
      const { records, stamp } = await readKeywords('site-1');
      expect([stamp, records.map(({ phrase, volume }) => [phrase, volume])]).toEqual([
        3,
        [['tide table', 900]],
      ]);
    }
    if (version > 9) {
      // The one export that was kept is of days that are assumed.
      const { figureRowsOf } = await import('./search-figures.ts');
      expect(await figureRowsOf('site-1')).toMatchObject([
        { part: { from: '2026-08-01', to: '2026-10-31', isAssumed: true, queries: ['tide'], clicks: [3] } },
      ]);
      expect(database().tables.map((table) => table.name)).not.toContain('performance');
    }
    if (version > 5) {
      const { originsOf } = await import('./generations.ts');
      expect(await originsOf('site-1', 'tides')).toEqual([CAME_BACK]);
    }
    const { auditDays, keepAudit } = await import('./audits.ts');
    const audit = { at: '', core: 1, rules: '', hasFigures: false, posts: [], pages: [] };
    await keepAudit('site-1', { ...audit, day: '2026-11-30' }, '2026-11-30T09:00:00Z');
    expect(await auditDays('site-1')).toEqual(['2026-11-30']);
    const { addStudy, studyOfPost } = await import('./studies.ts');
    await addStudy({ ...study, posts: ['tides'] }, []);
    expect((await studyOfPost('site-1', 'tides'))?.query).toBe('tide table');
    expect(await (await pictureBlob('site-1', 'media/dyke.png'))?.text()).toBe('png');
    const document = { fields: loaded.row.fields, draft: loaded.draft };
    const now = '2026-11-02T09:00:00Z';
    expect(await savePost({ id: 'tides', revision: 7, now, document, outline: [] })).toBe(8);
  });
});

describe('the schema', () => {
  it('carries the site in every table that belongs to one, from its own index on', () => {
    const shared = ['sites', 'blobs'];
    openDatabase('schema');
    for (const { name, schema } of database().tables) {
      if (shared.includes(name)) continue;
      const paths = [schema.primKey, ...schema.indexes].map(({ keyPath }) => keyPath);
      expect([name, paths.includes('siteId')]).toEqual([name, true]);
      // A compound index begins with the site, so that no query reads another site's rows.
      for (const path of paths) if (Array.isArray(path)) expect([name, path[0]]).toEqual([name, 'siteId']);
    }
  });
});
