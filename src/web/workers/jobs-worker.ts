import { expose } from 'comlink';
import { byPointsToWin, DraftReadings } from '../../core/criteria/index.ts';
import { Vocabulary } from '../../core/language/index.ts';
import { indexedPost, scorePost } from '../../core/site/index.ts';
import { database, openDatabase } from '../data/database.ts';
import { pictureSizes } from '../data/picture-store.ts';
import { postsOf } from '../data/posts.ts';
import { sceneData, sceneOf } from '../data/scene.ts';

/** Raised whenever a criterion judges differently, so that kept scores are computed anew. */
const CORE_VERSION = 1;

const CHUNK = 20;

/** FNV-1a over a text: enough to tell whether the surroundings of a score changed. */
function fingerprint(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  return (hash >>> 0).toString(36);
}

const vocabulary = new Vocabulary();

const api = {
  open(name: string): void {
    openDatabase(name);
  },

  /** Computes the scores of posts whose kept score is missing or out of date, and keeps them. Answers how many. */
  async refreshScores(siteId: string): Promise<number> {
    const { sites, bodies, scores } = database();
    const site = await sites.get(siteId);
    if (!site) return 0;
    const rows = await postsOf(siteId);
    const data = sceneData(site, rows, await pictureSizes(siteId));
    const scene = sceneOf(data);
    const around = `${CORE_VERSION}.${fingerprint(JSON.stringify(data))}`;
    const kept = new Map(
      (await scores.where('siteId').equals(siteId).toArray()).map((row) => [row.postId, row.key]),
    );
    const stale = rows.filter((row) => kept.get(row.id) !== `${row.revision}.${around}`);
    for (let from = 0; from < stale.length; from += CHUNK) {
      const chunk = stale.slice(from, from + CHUNK);
      const drafts = await bodies.bulkGet(chunk.map((row) => row.id));
      await scores.bulkPut(
        chunk.map((row, at) => {
          const document = {
            fields: row.fields,
            draft: drafts[at]?.draft ?? { version: 1 as const, blocks: [] },
          };
          const { report, facts } = scorePost(
            document,
            indexedPost(row.id, document),
            scene,
            new DraftReadings(vocabulary),
          );
          const [first] = byPointsToWin(report.criteria);
          return {
            postId: row.id,
            siteId,
            key: `${row.revision}.${around}`,
            score: report.score,
            words: facts.words,
            groups: report.groups,
            first: first ? { advice: first.advice ?? '', gain: first.available - first.points } : null,
          };
        }),
      );
    }
    return stale.length;
  },

  /** A zip of posts, their pictures and `site.json`. */
  async exportZip(siteId: string, ids: readonly string[]): Promise<Blob> {
    // The writers come when they are asked for: most visits never export.
    return (await import('../data/export-zip.ts')).exportZip(siteId, ids);
  },
};

export type JobsApi = typeof api;
expose(api);
