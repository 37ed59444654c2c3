import { ChevronLeft, ChevronRight } from 'lucide-react';
import { IconButton } from '../../../ui/icon-button.tsx';

/** Steps through things of one kind: how many there are, which is in hand, and the way to its neighbours. */
export function Stepper({
  name,
  count,
  at,
  onStep,
}: {
  name: string;
  count: number;
  /** Index of the one in hand; null: none yet. */
  at: number | null;
  onStep: (at: number) => void;
}) {
  const step = (by: number) => onStep(at === null ? (by > 0 ? 0 : count - 1) : (at + by + count) % count);
  return (
    <span className="inline-flex items-center gap-1 tabular-nums">
      {name} {count === 0 ? 'none' : at === null ? count : `${at + 1} of ${count}`}
      {count > 0 && (
        <>
          <IconButton icon={ChevronLeft} name={`${name}: the one before`} onClick={() => step(-1)} />
          <IconButton icon={ChevronRight} name={`${name}: the next one`} onClick={() => step(1)} />
        </>
      )}
    </span>
  );
}
