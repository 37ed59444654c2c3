import { postPath } from '../../core/listing/index.ts';
import { database } from './database.ts';
import { postsOf } from './posts.ts';
import { pagesOf } from './sites.ts';

/** Posts and pages of a site that a post could link to, by their address. */
export async function sitePlaces(
  siteId: string,
  without: string,
): Promise<{ address: string; title: string }[]> {
  const site = await database().sites.get(siteId);
  if (!site) return [];
  const posts = (await postsOf(site.id)).flatMap(({ id, fields }) => {
    const path = postPath(site, fields);
    return id === without || !path ? [] : [{ address: path, title: fields.title || fields.slug }];
  });
  const pages = (await pagesOf(site.id)) ?? [];
  return [...posts, ...pages.map(({ address, title }) => ({ address, title: title ?? address }))];
}
