import type { Vocabulary } from '../../core/language/index.ts';
import { database } from './database.ts';
import type { ScoreRow } from './post-rows.ts';
import { finishedBody } from './posts.ts';
import { sceneOf } from './scene.ts';
import { scoreRow } from './score-row.ts';
import { staleScores } from './stale-scores.ts';

const CHUNK = 20;
/** Milliseconds between two times that scores are kept. */
const KEEP_EVERY = 700;

/**
 * Computes the scores of posts whose kept score is missing or out of date, and keeps them. Answers how many there were; null where the site
 * is gone. `between` is called after each chunk with how many posts have their score, of how many; where it throws, what was computed
 * is kept first.
 */
export async function refreshStaleScores(
  siteId: string,
  vocabulary: Vocabulary,
  between: (scored: number, of: number) => unknown = () => {},
): Promise<number | null> {
  const found = await staleScores(siteId);
  if (!found) return null;
  const { stale, keyOf, data } = found;
  const scene = sceneOf(data);
  const known = data.posts.length - stale.length;
  let waiting: ScoreRow[] = [];
  let kept = Date.now();
  const keep = async () => {
    const rows = waiting;
    waiting = [];
    kept = Date.now();
    if (rows.length > 0) await database().scores.bulkPut(rows);
  };
  try {
    for (let from = 0; from < stale.length; from += CHUNK) {
      const chunk = stale.slice(from, from + CHUNK);
      const bodies = await database().bodies.bulkGet(chunk.map((row) => row.id));
      chunk.forEach(({ id, fields }, at) => {
        const document = { fields, draft: finishedBody(bodies[at]) };
        waiting.push(scoreRow({ id, siteId, key: keyOf(chunk[at]) }, document, scene, vocabulary));
      });
      // Each time they are kept, every list that shows them is read again.
      if (Date.now() - kept >= KEEP_EVERY) await keep();
      await between(known + from + chunk.length, data.posts.length);
    }
  } finally {
    await keep();
  }
  return stale.length;
}
