import { DraftReadings, gainOf, notesOf } from '../../core/criteria/index.ts';
import type { PostDocument } from '../../core/draft/index.ts';
import type { Vocabulary } from '../../core/language/index.ts';
import { type Scene, scorePost } from '../../core/scoring/index.ts';
import { indexedPost } from '../../core/site/index.ts';
import type { ScoreRow } from './post-rows.ts';

/** What lists show of a post's report. */
export function scoreRow(
  post: { id: string; siteId: string; key: string },
  document: PostDocument,
  scene: Scene,
  vocabulary: Vocabulary,
): ScoreRow {
  const { report, facts } = scorePost(
    document,
    indexedPost(post.id, document),
    scene,
    new DraftReadings(vocabulary),
  );
  const notes = notesOf(report.criteria);
  const [first] = notes;
  return {
    postId: post.id,
    siteId: post.siteId,
    key: post.key,
    score: report.score,
    words: facts.words,
    groups: report.groups,
    first: first ? { advice: first.advice ?? '', gain: first.available - first.points } : null,
    gains: notes.map((note) => [note.id, gainOf(note)]),
  };
}
