import type { Draft, PostFields } from '../../core/draft/index.ts';
import { database } from './database.ts';
import { MEDIA } from './picture-store.ts';

/**
 * Takes out picture files that nothing names any more: no post (deleted ones count until their undo is past), no
 * version, and no picture that was made of it. To be called when a visit begins, when no editor holds an undo step. Only those of `known` can go: pictures
 * that were there when the visit began. Answers how many names went.
 */
export async function collectPictures(known: readonly [siteId: string, name: string][]): Promise<number> {
  const { posts, bodies, versions, pictures, blobs } = database();
  return database().transaction('rw', [posts, bodies, versions, pictures, blobs], async () => {
    const named = new Set<string>();
    const note = (siteId: string, src: string | undefined) => {
      if (src?.startsWith(MEDIA)) named.add(`${siteId} ${src.slice(MEDIA.length)}`);
    };
    const walk = (siteId: string, draft: Draft | undefined, fields: PostFields | undefined) => {
      note(siteId, fields?.image);
      for (const { image } of draft?.blocks ?? []) note(siteId, image?.src);
    };
    // What a writer could change first is read first.
    await posts.each((row) => walk(row.siteId, undefined, row.fields));
    await bodies.each((row) => walk(row.siteId, row.draft, undefined));
    await versions.each((row) => walk(row.siteId, row.draft, row.fields));
    const rows = new Map((await pictures.toArray()).map((row) => [`${row.siteId} ${row.name}`, row]));
    // A set goes on to what is added to it on the way: originals of originals are found too.
    for (const key of named) {
      const row = rows.get(key);
      if (row?.madeFrom !== undefined) named.add(`${row.siteId} ${row.madeFrom}`);
    }
    const old = new Set(known.map(([siteId, name]) => `${siteId} ${name}`));
    const gone = await pictures
      .filter(({ siteId, name }) => old.has(`${siteId} ${name}`) && !named.has(`${siteId} ${name}`))
      .toArray();
    await pictures.bulkDelete(gone.map(({ siteId, name }): [string, string] => [siteId, name]));
    const kept = new Set((await pictures.toArray()).map(({ sha }) => sha));
    await blobs.filter(({ sha }) => !kept.has(sha)).delete();
    return gone.length;
  });
}
