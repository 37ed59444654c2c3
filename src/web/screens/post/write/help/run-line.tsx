import { useEffect, useState } from 'react';
import { wordsOf } from '../../../../../core/writing/index.ts';
import type { RunState } from '../../../../state/writing/text-run.ts';
import { counted } from '../../../../ui/figures.ts';

/** By whom a text was made. */
export const madeBy = (model: string): string => (model === '' ? 'made without a model' : `made by ${model}`);

/** How a text that was asked for stands: on its way, waiting, failed, or by whom it was made. */
export function RunLine({ state }: { state: RunState }) {
  const { finish, wait, problem, misses, dropped, again, part, model, text } = state;
  const seconds = useSecondsTo(wait?.until ?? null);
  if (finish === 'running')
    return (
      <span role="status" className="text-soft">
        {wait
          ? `${wait.why} ${counted(seconds, 'second')} left.`
          : [
              part ? `${part.at} of ${part.of}: ${part.name}` : 'on its way',
              text ? counted(wordsOf([text]), 'word') : '',
              again > 0 ? `asked again: ${misses[0] ?? ''}` : '',
            ]
              .filter(Boolean)
              .join(' · ')}
      </span>
    );
  return (
    <span role="status" className="min-w-0 text-soft">
      {finish === 'failed' ? (
        <span className="text-rust">{problem}</span>
      ) : (
        <>
          {madeBy(model)}
          {finish === 'stopped' && ' · stopped'}
          {problem && <span className="text-ochre"> · {problem}</span>}
          {dropped > 0 && ` · ${counted(dropped, 'answer')} like earlier ones left out`}
          {misses.length > 0 && (
            <span className="text-ochre">
              {' '}
              · asked {again + 1} times, and still: {misses[0]}
            </span>
          )}
        </>
      )}
    </span>
  );
}

/** Whole seconds until an instant, counted down. */
function useSecondsTo(until: number | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (until === null) return;
    setNow(Date.now());
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [until]);
  return until === null ? 0 : Math.max(0, Math.ceil((until - now) / 1000));
}
