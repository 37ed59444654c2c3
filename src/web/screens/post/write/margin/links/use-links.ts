import { useCallback, useEffect, useState } from 'react';
import { attempt } from '../../../../../state/attempt.ts';
import type { PostSession } from '../../../../../state/post/post-session.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import type { LinkHere } from '../../../../../workers/links.ts';
import { linksWorker } from '../../../../../workers/links-client.ts';
import { longCall } from '../../../../../workers/long-call.ts';

/** Milliseconds without a change after which the posts of the site are looked through. */
const QUIET_FOR = 500;

/** What was found of posts that should link here. */
export type Here = LinkHere[] | 'waiting' | 'no-address';

/** Posts of the site that should link here; looked for when the lens opens, and when keyword or address change. */
export function useLinksHere(session: PostSession): { here: Here; look: () => void } {
  const { keyword, slug } = useAppSelector((state) => state.openPost.fields);
  const [here, setHere] = useState<Here>('waiting');
  const [asked, setAsked] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is looked for depends on the keyword and the address
  useEffect(() => {
    const off = new AbortController();
    const look = async () => {
      const worker = await linksWorker();
      const found = await longCall(worker, 'reads', off.signal, (job) =>
        worker.toHere(session.siteId, session.id, session.finished, job),
      );
      if (!off.signal.aborted) setHere(found ?? 'no-address');
    };
    const timer = setTimeout(
      () => attempt(look(), 'The posts of the site could not be looked through'),
      QUIET_FOR,
    );
    return () => {
      off.abort();
      clearTimeout(timer);
    };
  }, [session, keyword, slug, asked]);
  return { here, look: useCallback(() => setAsked((times) => times + 1), []) };
}
