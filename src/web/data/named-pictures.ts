import { type Draft, type PostFields, pictureAddresses } from '../../core/draft/index.ts';
import { database } from './database.ts';
import { MEDIA } from './picture-store.ts';
import type { PictureRow } from './post-rows.ts';

/** What a picture is known by among all sites. */
export const pictureKey = ({ siteId, name }: Pick<PictureRow, 'siteId' | 'name'>): string =>
  `${siteId} ${name}`;

/**
 * The pictures that posts and categories show, and those that versions do, by their keys. Deleted posts count until they are gone for
 * good. To be asked within a transaction that holds sites, posts, bodies and versions.
 */
export async function namedPictures(): Promise<{ inPosts: Set<string>; inVersions: Set<string> }> {
  const { posts, bodies, versions, sites } = database();
  const [inPosts, inVersions] = [new Set<string>(), new Set<string>()];
  const walk = (named: Set<string>, siteId: string, draft: Draft | null, fields: PostFields | null) => {
    for (const src of pictureAddresses(fields, draft))
      if (src.startsWith(MEDIA)) named.add(pictureKey({ siteId, name: src.slice(MEDIA.length) }));
  };
  // What a writer could change first is read first.
  await posts.each((row) => walk(inPosts, row.siteId, null, row.fields));
  await sites.each(({ id, categories = [] }) => {
    for (const { picture } of categories)
      if (picture?.src.startsWith(MEDIA))
        inPosts.add(pictureKey({ siteId: id, name: picture.src.slice(MEDIA.length) }));
  });
  await bodies.each((row) => walk(inPosts, row.siteId, row.draft, null));
  await versions.each((row) => walk(inVersions, row.siteId, row.draft, row.fields));
  return { inPosts, inVersions };
}

/** Those of some pictures, and what they were made of, and what that was made of. */
export function withOriginals(named: Iterable<string>, rows: readonly PictureRow[]): Set<string> {
  const byKey = new Map(rows.map((row) => [pictureKey(row), row]));
  const all = new Set(named);
  // A set goes on to what is added to it on the way.
  for (const key of all) {
    const row = byKey.get(key);
    if (row?.madeFrom !== undefined) all.add(pictureKey({ siteId: row.siteId, name: row.madeFrom }));
  }
  return all;
}
