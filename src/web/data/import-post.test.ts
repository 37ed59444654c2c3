import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { emptyFields, readMarkdown } from '../../core/draft/index.ts';
import { unknownSite } from '../../core/site/index.ts';
import { database, openDatabase } from './database.ts';
import { PictureFinder } from './import-files.ts';
import { PostImporter, type WhenKnown } from './import-post.ts';
import { addPost, loadPost, savePost } from './posts.ts';
import { ensureSite } from './sites.ts';
import { versionsOf } from './versions.ts';

const NOW = '2026-11-01T09:00:00Z';
let siteId = '';

beforeEach(async () => {
  openDatabase('import-post');
  await Promise.all(database().tables.map((table) => table.clear()));
  siteId = (await ensureSite()).id;
  const fields = { ...emptyFields(), title: 'Tides', slug: 'tides' };
  await addPost(siteId, 'here', NOW, { fields, draft: readMarkdown('The old text.').draft });
});

async function brought(title: string, slug: string, whenKnown: WhenKnown) {
  const importer = await PostImporter.of(siteId, unknownSite(), whenKnown);
  const fields = { ...emptyFields(), title, slug };
  const post = { fields, draft: readMarkdown('From a file.').draft, pictures: new Map() };
  return importer.add(post, `${slug}.md`, false, new PictureFinder([]));
}

/** What a writer does to a post after the import. */
async function write(id: string, md: string): Promise<void> {
  const { row, outline } = (await loadPost(id))!;
  const document = { fields: row.fields, draft: readMarkdown(md).draft };
  await savePost({ id, revision: row.revision, now: NOW, document, outline });
}

const text = async (id: string) => (await loadPost(id))?.draft.blocks.map((block) => block.text).join(' ');

describe('taking an import back', () => {
  it('puts a replaced post back as it was', async () => {
    const { outcome, undo } = await brought('Tides', 'tides', 'replace');
    expect([outcome, await text('here')]).toEqual(['replaced', 'From a file.']);
    expect(await undo!()).toBe('');
    expect(await text('here')).toBe('The old text.');
  });
  it('leaves a replaced post that was written in since, and names it; its old text is a version', async () => {
    const { undo } = await brought('Tides', 'tides', 'replace');
    await write('here', 'Written since.');
    expect(await undo!()).toBe('"Tides" was written in since and stays; its old text is under Versions.');
    expect(await text('here')).toBe('Written since.');
    const [version] = await versionsOf(siteId, 'here');
    expect(version.draft.blocks[0].text).toBe('The old text.');
  });
  it('takes a new post out, but not one that was written in since', async () => {
    const fresh = await brought('Dykes', 'dykes', 'leave');
    const written = await brought('Locks', 'locks', 'leave');
    await write(written.id, 'Written since.');
    expect([await fresh.undo!(), await written.undo!()]).toEqual([
      '',
      '"Locks" was written in since and stays.',
    ]);
    expect(await loadPost(fresh.id)).toBeNull();
    expect(await text(written.id)).toBe('Written since.');
  });
  it('does nothing to what was left as it was', async () =>
    expect(await brought('Tides', 'tides', 'leave')).toMatchObject({ outcome: 'left', undo: null }));
});
