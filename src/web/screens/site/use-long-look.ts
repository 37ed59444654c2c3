import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { storageKind } from '../../data/storage.ts';
import { attempt } from '../../state/attempt.ts';
import { longCall } from '../../workers/long-call.ts';
import { type SiteClient, siteWorker } from '../../workers/site-client.ts';

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
