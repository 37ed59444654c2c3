import { useEffect, useMemo, useState } from 'react';
import {
  fieldOf,
  type Holder,
  phraseKey,
  type SameAsking,
  sameResultsBy,
} from '../../core/research/index.ts';
import { researchWorker } from '../workers/research-client.ts';
import { attempt } from './attempt.ts';

type Pages = ReadonlyMap<string, ReadonlySet<string>>;
const NONE: Pages = new Map();

/** The first pages found for phrases, a line each, as far as they are known. */
function useFirstPages(siteId: string, region: string, phrases: string): Pages {
  const [pages, setPages] = useState(NONE);
  useEffect(() => {
    let late = false;
    const wanted = phrases.split('\n').filter(Boolean);
    if (wanted.length === 0) {
      setPages(NONE);
      return;
    }
    attempt(
      researchWorker()
        .then((worker) => worker.firstPages(siteId, region, wanted))
        .then((found) => {
          if (late) return;
          setPages(
            new Map(
              wanted.flatMap((phrase, at) => {
                const own = found[at];
                return own ? [[phraseKey(phrase), new Set(own)] as const] : [];
              }),
            ),
          );
        }),
    );
    return () => {
      late = true;
    };
  }, [siteId, region, phrases]);
  return pages;
}

/**
 * By what the phrases of lists and posts are told to ask for the same: their words, and the pages found for their primary
 * keywords. `primary` is one more, as it is typed: what is known of the others stays meanwhile.
 */
export function useAsking(
  siteId: string,
  region: string,
  holders: readonly Holder[],
  primary = '',
): SameAsking {
  const primaries = useMemo(
    () => [...new Set(holders.map((holder) => holder.primary).filter(Boolean))].sort().join('\n'),
    [holders],
  );
  const theirs = useFirstPages(siteId, region, primaries);
  const mine = useFirstPages(siteId, region, primary);
  const field = useMemo(() => fieldOf(holders.flatMap(({ phrases }) => phrases)), [holders]);
  return useMemo(
    () => ({ field, sameResults: sameResultsBy(new Map([...mine, ...theirs])) }),
    [field, theirs, mine],
  );
}
