import { database } from './database.ts';
import type { PostRow } from './post-rows.ts';
import { postsOf } from './posts.ts';
import { readScene } from './read-scene.ts';
import { type SceneData, scoreKeys } from './scene-data.ts';

/** Posts of a site whose kept score is missing or out of date, the keys they should have, and what they are scored within. */
export async function staleScores(
  siteId: string,
): Promise<{ stale: PostRow[]; keyOf: (row: PostRow) => string; data: SceneData } | null> {
  const data = await readScene(siteId);
  if (!data) return null;
  const rows = await postsOf(siteId);
  const keyOf = scoreKeys(data);
  const kept = new Map(
    (await database().scores.where('siteId').equals(siteId).toArray()).map((row) => [row.postId, row.key]),
  );
  return { stale: rows.filter((row) => kept.get(row.id) !== keyOf(row)), keyOf, data };
}
