import { useEffect, useState } from 'react';
import type { JoinedSection } from '../../../../core/site/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { longCall } from '../../../workers/long-call.ts';
import { siteWorker } from '../../../workers/site-client.ts';
import type { JoinView, PlannedJoin } from '../../../workers/site-join.ts';

/** Two posts side by side, and what comes of the sections that are picked. */
export interface Join {
  /** Null: it is being read. */
  view: JoinView | null;
  /** Why they cannot be shown; empty: they can. */
  problem: string;
  order: readonly JoinedSection[];
  setOrder: (order: readonly JoinedSection[]) => void;
  /** Null: it is being worked out. */
  plan: PlannedJoin | null;
  /** Reads both anew. */
  again: () => void;
}

/** Reads two posts, and works out anew what they come to as often as other sections are picked. */
export function useJoin(siteId: string, keeper: string, other: string): Join {
  const [view, setView] = useState<JoinView | null>(null);
  const [problem, setProblem] = useState('');
  const [order, setOrder] = useState<readonly JoinedSection[]>([]);
  const [plan, setPlan] = useState<PlannedJoin | null>(null);
  const [round, setRound] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `round` asks for it anew
  useEffect(() => {
    let late = false;
    setView(null);
    setPlan(null);
    setProblem('');
    siteWorker()
      .then((worker) => worker.sideBySide(siteId, keeper, other))
      .then(
        (found) => {
          if (late) return;
          setView(found);
          setOrder(found.advice.order);
        },
        (error: Error) => {
          if (!late) setProblem(error.message);
        },
      );
    return () => {
      late = true;
    };
  }, [siteId, keeper, other, round]);
  useEffect(() => {
    if (!view) return;
    const own = new AbortController();
    setPlan(null);
    const work = async () => {
      const worker = await siteWorker();
      const found = await longCall(worker, 'reads', own.signal, (job) =>
        worker.joinPlan(siteId, view.keeper.id, view.other.id, order, job),
      );
      if (!own.signal.aborted) setPlan(found);
    };
    attempt(work(), 'It could not be worked out what they come to');
    return () => own.abort();
  }, [siteId, view, order]);
  return { view, problem, order, setOrder, plan, again: () => setRound((now) => now + 1) };
}
