import { database } from './database.ts';
import type { ScoreRow } from './post-rows.ts';

/** Rows that are taken out of the database in one go. */
const SLICE = 400;

/** Kept scores of a site's posts by post, read slice by slice. */
export async function scoresOf(siteId: string): Promise<Map<string, ScoreRow>> {
  const { scores } = database();
  const keys = await scores.where('siteId').equals(siteId).primaryKeys();
  keys.sort();
  const found = new Map<string, ScoreRow>();
  for (let from = 0; from < keys.length; from += SLICE) {
    const last = keys[Math.min(from + SLICE, keys.length) - 1];
    for (const row of await scores.where('postId').between(keys[from], last, true, true).toArray())
      if (row.siteId === siteId) found.set(row.postId, row);
  }
  return found;
}
