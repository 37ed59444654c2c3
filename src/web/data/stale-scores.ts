import { database, type PostRow } from './database.ts';
import { pictureSizes } from './picture-store.ts';
import { postsOf } from './posts.ts';
import { type SceneData, sceneData, scoreKeys } from './scene-data.ts';

/** Posts of a site whose kept score is missing or out of date, the keys they should have, and what they are scored within. */
export async function staleScores(
  siteId: string,
): Promise<{ stale: PostRow[]; keyOf: (row: PostRow) => string; data: SceneData } | null> {
  const site = await database().sites.get(siteId);
  if (!site) return null;
  const rows = await postsOf(siteId);
  const data = sceneData(site, rows, await pictureSizes(siteId));
  const keyOf = scoreKeys(data);
  const kept = new Map(
    (await database().scores.where('siteId').equals(siteId).toArray()).map((row) => [row.postId, row.key]),
  );
  return { stale: rows.filter((row) => kept.get(row.id) !== keyOf(row)), keyOf, data };
}
