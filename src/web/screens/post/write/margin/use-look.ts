import { useCallback, useEffect, useRef, useState } from 'react';
import { attempt } from '../../../../state/attempt.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { useAppSelector } from '../../../../state/store.ts';
import { type LinksClient, linksWorker } from '../../../../workers/links-client.ts';

/** Milliseconds without a new report after which the post is looked at anew. */
const QUIET_FOR = 500;

/**
 * What a worker says of the post in hand, anew a moment after it changed or `given` did; null until it was first looked at.
 * `failed` is said where it could not be.
 */
export function useLook<Answer>(
  session: PostSession,
  ask: (worker: LinksClient) => Promise<Answer>,
  failed: string,
  given = '',
): { answer: Answer | null; look: () => void } {
  const report = useAppSelector((state) => state.openPost.report);
  const [answer, setAnswer] = useState<Answer | null>(null);
  const [asked, setAsked] = useState(0);
  const shown = useRef(false);
  const latest = useRef(ask);
  latest.current = ask;
  // biome-ignore lint/correctness/useExhaustiveDependencies: each report tells that the post changed
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const found = await latest.current(await linksWorker());
      if (isOver) return;
      shown.current = true;
      setAnswer(found);
    };
    const timer = setTimeout(() => attempt(look(), failed), shown.current ? QUIET_FOR : 0);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, report, given, asked]);
  return { answer, look: useCallback(() => setAsked((times) => times + 1), []) };
}
