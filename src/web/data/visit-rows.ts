import type { ScoreReport } from '../../core/criteria/index.ts';
import type { PostFields } from '../../core/draft/index.ts';
import type { OutlineItem } from '../../core/outline/index.ts';
import type { BlocksSplice } from './blocks-splice.ts';
import type { PostContent } from './post-content.ts';

/** The folder that the writer chose for copies; there is at most one. */
export interface FolderRow {
  id: 'copies';
  folder: FileSystemDirectoryHandle;
}

/** What a visit wrote and the post's row does not hold yet. */
export interface UnsavedRow {
  visit: string;
  siteId: string;
  postId: string;
  /** The instants of the saves into which it can be put as it is. */
  bases: string[];
  fields: PostFields;
  outline: OutlineItem[];
  body: BlocksSplice;
}

/** How the score stood when a trial began. */
export interface TrialStart {
  report: ScoreReport;
  words: number;
}

/** A trial under way: how the post and its score stood when it began. It outlives the visit. */
export interface TrialRow extends TrialStart {
  postId: string;
  before: PostContent;
}
