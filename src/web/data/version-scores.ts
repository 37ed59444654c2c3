import { DraftReadings } from '../../core/criteria/index.ts';
import type { Vocabulary } from '../../core/language/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import { indexedPost } from '../../core/site/index.ts';
import { database } from './database.ts';
import { finishedBody } from './posts.ts';
import { readScene } from './read-scene.ts';
import { sceneOf } from './scene.ts';
import { versionsOf } from './versions.ts';

/** Scores the versions of a post that have no score yet, by the house rules of today. Answers how many. */
export async function scoreVersions(siteId: string, postId: string, vocabulary: Vocabulary): Promise<number> {
  const open = (await versionsOf(siteId, postId)).filter((row) => row.score === null);
  const data = open.length ? await readScene(siteId, postId) : null;
  if (!data) return 0;
  const scene = sceneOf(data);
  for (const row of open) {
    const document = { fields: row.fields, draft: finishedBody(row) };
    const readings = new DraftReadings(vocabulary);
    const { report, facts } = scorePost(document, indexedPost(postId, document), scene, readings);
    const criteria = report.criteria.map(({ id, title, points, available }) => ({
      id,
      title,
      points,
      available,
    }));
    await database().versions.update(row.id, {
      score: { score: report.score, words: facts.words, groups: report.groups, criteria },
    });
  }
  return open.length;
}
