import { DraftReadings, type Profile } from '../criteria/index.ts';
import type { PostDocument } from '../draft/index.ts';
import type { Vocabulary } from '../language/index.ts';
import { indexedPost } from '../site/index.ts';
import { type Scene, scorePost } from './score-post.ts';

/** What another profile would do to the score of one post. */
export interface ProfileEffect {
  postId: string;
  title: string;
  before: number;
  after: number;
}

/** Scores a post by the site's profile of today and by another one. */
export function profileEffect(
  postId: string,
  document: PostDocument,
  scene: Scene,
  profile: Profile,
  vocabulary: Vocabulary,
): ProfileEffect {
  const post = indexedPost(postId, document);
  const readings = new DraftReadings(vocabulary);
  const scored = (site: Scene['site']) =>
    scorePost(document, post, { ...scene, site }, readings).report.score;
  return {
    postId,
    title: document.fields.title,
    before: scored(scene.site),
    after: scored({ ...scene.site, profile }),
  };
}
