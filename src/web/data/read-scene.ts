import { database } from './database.ts';
import { pictureSizes } from './picture-store.ts';
import { postsOf } from './posts.ts';
import { type SceneData, sceneData } from './scene-data.ts';
import { pagesOf } from './sites.ts';
import { studyFactsOf } from './studies.ts';

/** What the posts of a site are scored within, as stored; null where the site is gone. `without` leaves out a post. */
export async function readScene(siteId: string, without?: string): Promise<SceneData | null> {
  const site = await database().sites.get(siteId);
  if (!site) return null;
  const [rows, pictures, pages, studies] = await Promise.all([
    postsOf(siteId),
    pictureSizes(siteId),
    pagesOf(siteId),
    studyFactsOf(siteId),
  ]);
  return sceneData(
    site,
    rows.filter((row) => row.id !== without),
    pictures,
    pages,
    // A post in hand is scored by its own study alone.
    without === undefined ? studies : studies.filter(([id]) => id === without),
  );
}
