import { useEffect, useMemo } from 'react';
import { postsOfInSlices } from '../../data/posts.ts';
import { scoresOf } from '../../data/scores.ts';
import { currentSite } from '../../data/sites.ts';
import { staleScores } from '../../data/stale-scores.ts';
import { countDeleted } from '../../data/trash.ts';
import { attempt } from '../../state/attempt.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { jobsWorker } from '../../workers/jobs-client.ts';
import type { PostLine } from './post-table.ts';

/** Milliseconds from the list to the refreshing of its scores. */
const SCORES_AFTER = 250;
/** Posts up to which the page itself looks whether scores are out of date. */
const FEW = 200;

/**
 * The site of this tab, its posts with their scores, which are brought up to date (`lines` is undefined until read), and
 * how many are in its trash.
 */
export function usePosts() {
  const site = useLiveQuery(currentSite);
  const siteId = site?.id;
  const rows = useLiveQuery(async () => (siteId ? postsOfInSlices(siteId) : undefined), [siteId]);
  // Scores come in many steps while they are worked out; posts need not be read again for each.
  const scores = useLiveQuery(async () => (siteId ? scoresOf(siteId) : undefined), [siteId]);
  const lines = useMemo(
    () => rows && scores && rows.map((row): PostLine => ({ row, score: scores.get(row.id) })),
    [rows, scores],
  );
  const revisions = useMemo(() => rows?.map(({ id, revision }) => `${id}${revision}`).join(), [rows]);
  const count = rows?.length ?? 0;
  const trash = useLiveQuery(async () => (siteId ? countDeleted(siteId) : 0), [siteId]) ?? 0;
  useEffect(() => {
    if (!site || revisions === undefined) return;
    const refresh = async () => {
      // A small site is looked through here, so that no worker has to start for nothing.
      if (count > FEW || (await staleScores(site.id))?.stale.length)
        await (await jobsWorker()).refreshScores(site.id);
    };
    // The list stands first; the worker that brings its scores up to date comes after it.
    const timer = setTimeout(
      () => attempt(refresh(), 'The scores could not be brought up to date'),
      SCORES_AFTER,
    );
    return () => clearTimeout(timer);
  }, [site, revisions, count]);
  return { site, lines, trash };
}
