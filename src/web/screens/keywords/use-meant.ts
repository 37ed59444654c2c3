import { useEffect, useState } from 'react';
import { attempt } from '../../state/attempt.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** What seeds meant that are misspelt, as they would be typed: all of them with the words that are known; empty: nothing is near, or all are known. */
export function useMeant(siteId: string, seeds: readonly string[], region: string, stamp: unknown): string {
  const [meant, setMeant] = useState('');
  const key = seeds.join('\n');
  // biome-ignore lint/correctness/useExhaustiveDependencies: the stamp tells that other phrases are known.
  useEffect(() => {
    let late = false;
    setMeant('');
    if (!key) return;
    attempt(
      researchWorker()
        .then((worker) =>
          Promise.all(key.split('\n').map(async (seed) => [seed, await worker.meant(siteId, seed, region)])),
        )
        .then((found) => {
          if (late || !found.some(([, other]) => other)) return;
          setMeant(found.map(([seed, other]) => other ?? seed).join(', '));
        }),
    );
    return () => {
      late = true;
    };
  }, [siteId, key, region, stamp]);
  return meant;
}
