import type { TrialRow } from './visit-rows.ts';
import { readVisits, writeNow } from './visit-store.ts';

/** The trial of a post that was left before it ended; null: none. */
export const trialOf = async (postId: string): Promise<TrialRow | null> =>
  (await readVisits('trials')).find((row) => row.postId === postId) ?? null;

/** A trial is under way from now on. */
export const keepTrial = (row: TrialRow): Promise<boolean> => writeNow('trials', row.postId, row);

/** A trial has ended. */
export const endTrial = (postId: string): Promise<boolean> => writeNow('trials', postId, null);
