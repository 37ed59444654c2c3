import { database } from './database.ts';
import { namedPictures, pictureKey, withOriginals } from './named-pictures.ts';
import type { PictureRow } from './post-rows.ts';

/** Some picture files and their weight; a file that has several names weighs once. */
export interface PictureShare {
  count: number;
  bytes: number;
}

/** What a site's pictures take of this browser's storage, each counted where it first fits. */
export interface PictureStorage {
  inPosts: PictureShare;
  inVersions: PictureShare;
  /** Kept only because others were made of them. */
  originals: PictureShare;
  /** Named by nothing: they go when the application is next opened. */
  leftOver: PictureShare;
}

async function sorted(siteId: string): Promise<Record<keyof PictureStorage, PictureRow[]>> {
  const { sites, posts, bodies, versions, pictures } = database();
  return database().transaction('r', [sites, posts, bodies, versions, pictures], async () => {
    const { inPosts, inVersions } = await namedPictures();
    const rows = await pictures.where('siteId').equals(siteId).toArray();
    const kept = withOriginals([...inPosts, ...inVersions], rows);
    const placeOf = (row: PictureRow): keyof PictureStorage => {
      const key = pictureKey(row);
      if (inPosts.has(key)) return 'inPosts';
      if (inVersions.has(key)) return 'inVersions';
      return kept.has(key) ? 'originals' : 'leftOver';
    };
    const places: Record<keyof PictureStorage, PictureRow[]> = {
      inPosts: [],
      inVersions: [],
      originals: [],
      leftOver: [],
    };
    for (const row of rows) places[placeOf(row)].push(row);
    return places;
  });
}

/** How much of this browser's storage a site's pictures take, and for what. */
export async function pictureStorage(siteId: string): Promise<PictureStorage> {
  const seen = new Set<string>();
  const share = (rows: readonly PictureRow[]): PictureShare => {
    let bytes = 0;
    for (const row of rows) {
      if (!seen.has(row.sha)) bytes += row.bytes;
      seen.add(row.sha);
    }
    return { count: rows.length, bytes };
  };
  const { inPosts, inVersions, originals, leftOver } = await sorted(siteId);
  return {
    inPosts: share(inPosts),
    inVersions: share(inVersions),
    originals: share(originals),
    leftOver: share(leftOver),
  };
}

/**
 * Lets go of the originals that nothing shows: their files go when the application is next opened. Answers the way
 * back, which holds until then.
 */
export async function letOriginalsGo(siteId: string): Promise<() => Promise<void>> {
  const names = new Set((await sorted(siteId)).originals.map(({ name }) => name));
  const { pictures } = database();
  const made = await pictures
    .where('siteId')
    .equals(siteId)
    .filter(({ madeFrom }) => madeFrom !== undefined && names.has(madeFrom))
    .toArray();
  await database().transaction('rw', pictures, async () => {
    for (const { name } of made) await pictures.update([siteId, name], { madeFrom: undefined });
  });
  return async () => {
    await database().transaction('rw', pictures, async () => {
      for (const { name, madeFrom } of made)
        if (madeFrom !== undefined && (await pictures.get([siteId, madeFrom])))
          await pictures.update([siteId, name], { madeFrom });
    });
  };
}
