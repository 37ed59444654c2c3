import { DraftReadings } from '../../core/criteria/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';
import { Vocabulary } from '../../core/language/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import { indexedPost, linkTargets } from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import { postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { sceneOf } from '../data/scene.ts';

let vocabulary = new Vocabulary();
/** Words that are kept at most: a vocabulary only grows. */
const MOST_WORDS = 200_000;

let held: { postId: string; readings: DraftReadings } | null = null;

/** Everything that a draft is looked at within: its facts, the site with its posts, and what of them can be linked to. */
export async function surroundings(siteId: string, postId: string, document: PostDocument) {
  const [data, rows, site] = await Promise.all([
    readScene(siteId, postId),
    postsOf(siteId),
    database().sites.get(siteId),
  ]);
  if (!data || !site) throw new Error('The site is gone.');
  if (vocabulary.size > MOST_WORDS) {
    vocabulary = new Vocabulary();
    held = null;
  }
  if (held?.postId !== postId) held = { postId, readings: new DraftReadings(vocabulary) };
  const { facts, context } = scorePost(document, indexedPost(postId, document), sceneOf(data), held.readings);
  // The post in hand may have words that are not saved yet.
  const posts = rows.map((row) => (row.id === postId ? { ...row, fields: document.fields } : row));
  return { vocabulary, data, posts, facts, context, targets: linkTargets(posts, data.site), site };
}
