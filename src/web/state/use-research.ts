import { useCallback, useEffect, useState } from 'react';
import { type ResearchClient, researchWorker } from '../workers/research-client.ts';
import { attempt } from './attempt.ts';

/** Something asked of the worker that holds keywords and search figures; asked anew where `ask` is another one, or on `again`. Undefined until it is there. */
export function useResearch<Answer>(
  ask: (worker: ResearchClient) => Promise<Answer>,
): [answer: Answer | undefined, again: () => void] {
  const [answer, set] = useState<Answer | undefined>(undefined);
  const [round, setRound] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another round asks the same anew.
  useEffect(() => {
    let late = false;
    attempt(
      researchWorker()
        .then(ask)
        .then((found) => !late && set(found)),
    );
    return () => {
      late = true;
    };
  }, [ask, round]);
  return [answer, useCallback(() => setRound((now) => now + 1), [])];
}
