import { studyOfPost } from '../../../data/studies.ts';
import type { StudyRow } from '../../../data/study-rows.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';

/** The study that a post goes by; undefined: not looked up yet, null: none. */
export const useStudyRow = (siteId: string, postId: string): StudyRow | null | undefined =>
  useLiveQuery(() => studyOfPost(siteId, postId), [siteId, postId]);
