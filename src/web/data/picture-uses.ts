import { pictureAddresses } from '../../core/draft/index.ts';
import { database } from './database.ts';
import { MEDIA } from './picture-store.ts';
import type { PictureRow } from './post-rows.ts';
import { postsOf } from './posts.ts';

/** A picture of the site with the posts that show it. */
export interface UsedPicture extends PictureRow {
  uses: { postId: string; title: string }[];
}

/** All pictures of a site, those that are used most first. */
export async function picturesWithUses(siteId: string): Promise<UsedPicture[]> {
  const [rows, posts] = await Promise.all([
    database().pictures.where('siteId').equals(siteId).toArray(),
    postsOf(siteId),
  ]);
  const pictures = new Map(rows.map((row): [string, UsedPicture] => [row.name, { ...row, uses: [] }]));
  const bodies = await database().bodies.bulkGet(posts.map(({ id }) => id));
  posts.forEach(({ id, fields }, at) => {
    for (const src of pictureAddresses(fields, bodies[at]?.draft ?? null))
      if (src.startsWith(MEDIA))
        pictures.get(src.slice(MEDIA.length))?.uses.push({ postId: id, title: fields.title || 'Untitled' });
  });
  return [...pictures.values()].sort((a, b) => b.uses.length - a.uses.length || (a.name < b.name ? -1 : 1));
}
