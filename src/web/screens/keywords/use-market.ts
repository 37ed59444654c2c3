import { useEffect, useState } from 'react';
import type { Question } from '../../../core/research/index.ts';
import { storageProblem } from '../../data/storage.ts';
import { MarketProblem, market } from '../../services/market.ts';
import { attempt } from '../../state/attempt.ts';
import { researchWorker } from '../../workers/research-client.ts';

/** Asks the source of figures about seeds whenever they change, and keeps what it knows. */
export function useMarket(
  siteId: string,
  seeds: readonly string[],
  region: string,
): { busy: boolean; problem: string; questions: Question[]; at: number } {
  const [state, setState] = useState<{ busy: boolean; problem: string; questions: Question[]; at: number }>({
    busy: false,
    problem: '',
    questions: [],
    at: 0,
  });
  const key = seeds.join('\n');
  useEffect(() => {
    if (!key) {
      setState((before) => ({ ...before, busy: false, problem: '', questions: [] }));
      return;
    }
    let late = false;
    setState((before) => ({ ...before, busy: true, problem: '' }));
    const wanted = key.split('\n');
    attempt(
      (async () => {
        try {
          const [keywords, questions] = await Promise.all([
            market.keywords(wanted, region),
            market.questions(wanted, region),
          ]);
          if (keywords.length > 0) await (await researchWorker()).add(siteId, keywords);
          if (!late) setState((before) => ({ busy: false, problem: '', questions, at: before.at + 1 }));
        } catch (error) {
          if (late) return;
          const problem = error instanceof MarketProblem ? error.message : storageProblem(error);
          setState((before) => ({ ...before, busy: false, problem }));
        }
      })(),
    );
    return () => {
      late = true;
    };
  }, [siteId, key, region]);
  return state;
}
