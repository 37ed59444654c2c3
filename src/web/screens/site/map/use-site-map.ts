import { useEffect, useRef, useState } from 'react';
import { database } from '../../../data/database.ts';
import { attempt } from '../../../state/attempt.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { longCall } from '../../../workers/long-call.ts';
import { siteWorker } from '../../../workers/site-client.ts';
import type { SiteMapView } from '../../../workers/site-map.ts';

/** What changes whenever a post or a page of the site does: the map is drawn anew then. */
const useSiteSign = (siteId: string): string =>
  useLiveQuery(async () => {
    const { posts, pages } = database();
    const rows = await posts.where('siteId').equals(siteId).toArray();
    const known = await pages.where('siteId').equals(siteId).count();
    return `${known} ${rows.map(({ id, revision, deleted }) => `${id}${revision}${deleted ? '-' : ''}`).join()}`;
  }, [siteId]) ?? '';

/** Milliseconds for which nothing changes before the map is drawn anew: several links may be set at once. */
const QUIET_FOR = 500;

/** The map of a site; null until it is known. The one before stays while it is drawn anew. */
export function useSiteMap(siteId: string): SiteMapView | null {
  const sign = useSiteSign(siteId);
  const [view, setView] = useState<SiteMapView | null>(null);
  const isFirst = useRef(true);
  useEffect(() => {
    if (sign === '') return;
    const stopping = new AbortController();
    const look = async () => {
      const worker = await siteWorker();
      const found = await longCall(worker, 'reads', stopping.signal, (job) => worker.map(siteId, job));
      isFirst.current = false;
      setView(found);
    };
    const timer = setTimeout(
      () => attempt(look(), 'The map could not be drawn'),
      isFirst.current ? 0 : QUIET_FOR,
    );
    return () => {
      clearTimeout(timer);
      stopping.abort();
    };
  }, [siteId, sign]);
  return view;
}
