import { database } from './database.ts';
import { namedPictures, pictureKey, withOriginals } from './named-pictures.ts';

/**
 * Takes out picture files that nothing names any more: no post (deleted ones count until their undo is past), no
 * version, and no picture that was made of it. To be called when a visit begins, when no editor holds an undo step.
 * Only those of `known` can go: pictures that were there when the visit began. Answers how many names went.
 */
export async function collectPictures(known: readonly [siteId: string, name: string][]): Promise<number> {
  const { sites, posts, bodies, versions, pictures, blobs } = database();
  return database().transaction('rw', [sites, posts, bodies, versions, pictures, blobs], async () => {
    const { inPosts, inVersions } = await namedPictures();
    const rows = await pictures.toArray();
    const named = withOriginals([...inPosts, ...inVersions], rows);
    const old = new Set(known.map(([siteId, name]) => pictureKey({ siteId, name })));
    const gone = rows.filter((row) => old.has(pictureKey(row)) && !named.has(pictureKey(row)));
    await pictures.bulkDelete(gone.map(({ siteId, name }): [string, string] => [siteId, name]));
    const kept = new Set((await pictures.toArray()).map(({ sha }) => sha));
    await blobs.filter(({ sha }) => !kept.has(sha)).delete();
    return gone.length;
  });
}
