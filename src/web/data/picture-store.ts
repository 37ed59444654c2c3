import type { PictureSize } from '../../core/criteria/index.ts';
import { database } from './database.ts';
import { sha256 } from './digest.ts';
import type { PictureRow } from './post-rows.ts';

/** The folder under which drafts name their pictures. */
export const MEDIA = 'media/';

/** A name under which a content can lie: the one it has, or the wished one with a number where another has it. */
export async function freeName(siteId: string, wished: string, sha: string): Promise<string> {
  const dot = wished.lastIndexOf('.');
  for (let number = 1; ; number++) {
    const name = number === 1 ? wished : `${wished.slice(0, dot)}-${number}${wished.slice(dot)}`;
    const taken = await database().pictures.get([siteId, name]);
    if (!taken || taken.sha === sha) return name;
  }
}

/**
 * Keeps a file under a clean name and answers the address that drafts use. A name that is taken gets a number; where the same
 * file is kept under that name already, what is known of it stays.
 */
export async function keepPicture(
  siteId: string,
  fileName: string,
  blob: Blob,
  size: PictureSize,
  known: Pick<PictureRow, 'origin' | 'madeFrom'> = {},
): Promise<string> {
  const sha = await sha256(await blob.arrayBuffer());
  const { pictures, blobs } = database();
  return database().transaction('rw', pictures, blobs, async () => {
    const name = await freeName(siteId, fileName, sha);
    await blobs.put({ sha, blob });
    await pictures.put({ ...(await pictures.get([siteId, name])), siteId, name, sha, ...size, ...known });
    return MEDIA + name;
  });
}

/** The file of a picture that a draft names; null where it lies elsewhere. */
export async function pictureBlob(siteId: string, src: string): Promise<Blob | null> {
  if (!src.startsWith(MEDIA)) return null;
  const row = await database().pictures.get([siteId, src.slice(MEDIA.length)]);
  return row ? ((await database().blobs.get(row.sha))?.blob ?? null) : null;
}

/** What is kept of a picture that a draft names, its file aside; null where it lies elsewhere. */
export const pictureRow = async (siteId: string, src: string): Promise<PictureRow | null> =>
  src.startsWith(MEDIA) ? ((await database().pictures.get([siteId, src.slice(MEDIA.length)])) ?? null) : null;

/** Sizes of all pictures of a site by the address that drafts use. */
export async function pictureSizes(siteId: string): Promise<Map<string, PictureSize>> {
  const rows = await database().pictures.where('siteId').equals(siteId).toArray();
  return new Map(rows.map(({ name, bytes, width }) => [MEDIA + name, { bytes, width }]));
}
