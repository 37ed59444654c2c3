import { useEffect, useMemo, useState } from 'react';
import { askingOf, type Holder, phraseKey, type SameAsking } from '../../core/research/index.ts';
import { researchWorker } from '../workers/research-client.ts';
import { attempt } from './attempt.ts';

/** Of the ten first pages so many are the same where two phrases are one to those who search. */
const SAME_PAGES = 6;

/** By what the phrases of lists and posts are told to ask for the same: their words, and the pages found for their primary keywords. */
export function useAsking(siteId: string, region: string, holders: readonly Holder[]): SameAsking {
  const [pages, setPages] = useState<ReadonlyMap<string, ReadonlySet<string>>>(new Map());
  const primaries = [...new Set(holders.map(({ primary }) => primary).filter(Boolean))].sort().join('\n');
  useEffect(() => {
    let late = false;
    const phrases = primaries.split('\n').filter(Boolean);
    attempt(
      researchWorker()
        .then((worker) => worker.firstPages(siteId, region, phrases))
        .then((found) => {
          if (!late)
            setPages(
              new Map(
                phrases.flatMap((phrase, at) =>
                  found[at] ? [[phraseKey(phrase), new Set(found[at])] as const] : [],
                ),
              ),
            );
        }),
    );
    return () => {
      late = true;
    };
  }, [siteId, region, primaries]);
  return useMemo(
    () =>
      askingOf(holders, (a, b) => {
        const [mine, theirs] = [pages.get(phraseKey(a)), pages.get(phraseKey(b))];
        if (!mine || !theirs) return false;
        let same = 0;
        for (const page of mine) if (theirs.has(page)) same += 1;
        return same >= SAME_PAGES;
      }),
    [holders, pages],
  );
}
