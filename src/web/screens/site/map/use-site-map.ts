import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { database } from '../../../data/database.ts';
import { storageKind } from '../../../data/storage.ts';
import { attempt } from '../../../state/attempt.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { longCall } from '../../../workers/long-call.ts';
import { type SiteClient, siteWorker } from '../../../workers/site-client.ts';
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

/** Something long that was asked for of the whole site. */
export interface LongLook<Answer> {
  /** Null: not asked for yet. */
  answer: Answer | null;
  /** How far it is, 0-1; null: it is not under way. */
  done: number | null;
  look: () => void;
  stop: () => void;
  /** Changes the answer as it stands. */
  change: (make: (now: Answer) => Answer) => void;
}

/** Asks the worker for something that takes long, tells how far it is, and can be stopped. */
export function useLongLook<Answer>(
  ask: (worker: SiteClient, job: string, tell: (done: number) => void) => Promise<Answer>,
  failed: string,
): LongLook<Answer> {
  const [answer, set] = useState<Answer | null>(null);
  const [done, setDone] = useState<number | null>(null);
  const stopping = useRef<AbortController | null>(null);
  const asked = useRef(ask);
  asked.current = ask;
  useEffect(() => () => stopping.current?.abort(), []);
  const stop = useCallback(() => {
    stopping.current?.abort();
    setDone(null);
  }, []);
  const look = useCallback(() => {
    stopping.current?.abort();
    const own = new AbortController();
    stopping.current = own;
    setDone(0);
    const work = async () => {
      try {
        const worker = await siteWorker();
        const tell = (share: number) => {
          if (!own.signal.aborted) setDone(share);
        };
        const told = storageKind() === 'memory' ? tell : proxy(tell);
        const found = await longCall(worker, 'reads', own.signal, (job) => asked.current(worker, job, told));
        set(found);
      } finally {
        if (!own.signal.aborted) setDone(null);
      }
    };
    attempt(work(), failed);
  }, [failed]);
  const change = useCallback(
    (make: (now: Answer) => Answer) => set((now) => (now === null ? now : make(now))),
    [],
  );
  return { answer, done, look, stop, change };
}
