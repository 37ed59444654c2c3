import type { PictureSize } from '../../core/criteria/index.ts';
import { database } from './database.ts';

/** The folder under which drafts name their pictures. */
export const MEDIA = 'media/';

async function shaOf(bytes: ArrayBuffer): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes);
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Keeps a file under a clean name and answers the address that drafts use. A name that is taken gets a number. */
export async function keepPicture(
  siteId: string,
  fileName: string,
  blob: Blob,
  size: PictureSize,
): Promise<string> {
  const sha = await shaOf(await blob.arrayBuffer());
  const dot = fileName.lastIndexOf('.');
  const { pictures, blobs } = database();
  return database().transaction('rw', pictures, blobs, async () => {
    for (let number = 1; ; number++) {
      const name = number === 1 ? fileName : `${fileName.slice(0, dot)}-${number}${fileName.slice(dot)}`;
      const taken = await pictures.get([siteId, name]);
      if (taken && taken.sha !== sha) continue;
      await blobs.put({ sha, blob });
      await pictures.put({ siteId, name, sha, ...size });
      return MEDIA + name;
    }
  });
}

/** The file of a picture that a draft names; null where it lies elsewhere. */
export async function pictureBlob(siteId: string, src: string): Promise<Blob | null> {
  if (!src.startsWith(MEDIA)) return null;
  const row = await database().pictures.get([siteId, src.slice(MEDIA.length)]);
  return row ? ((await database().blobs.get(row.sha))?.blob ?? null) : null;
}

/** Sizes of all pictures of a site by the address that drafts use. */
export async function pictureSizes(siteId: string): Promise<Map<string, PictureSize>> {
  const rows = await database().pictures.where('siteId').equals(siteId).toArray();
  return new Map(rows.map(({ name, bytes, width }) => [MEDIA + name, { bytes, width }]));
}
