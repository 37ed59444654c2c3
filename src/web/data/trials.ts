import type { ScoreReport } from '../../core/criteria/index.ts';
import type { PostContent } from './post-content.ts';
import { readVisits, writeNow } from './visit-store.ts';

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

/** The trial of a post that was left before it ended; null: none. */
export const trialOf = async (postId: string): Promise<TrialRow | null> =>
  (await readVisits('trials')).find((row) => row.postId === postId) ?? null;

/** A trial is under way from now on. */
export const keepTrial = (row: TrialRow): Promise<boolean> => writeNow('trials', row.postId, row);

/** A trial has ended. */
export const endTrial = (postId: string): Promise<boolean> => writeNow('trials', postId, null);
