import { useCallback, useEffect, useState } from 'react';
import { attempt } from '../../../state/attempt.ts';
import { type ResearchClient, researchWorker } from '../../../workers/research-client.ts';

/** Something asked of the worker that holds search figures; asked anew on `again`. Undefined until it is there. */
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
