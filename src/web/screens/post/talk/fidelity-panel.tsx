import type { AddedRun, FidelityAccount, LeftOutRun, OriginCounts } from '../../../../core/talk/index.ts';
import { counted } from '../../../ui/figures.ts';
import { Stepper } from './stepper.tsx';

const allOf = ({ said, repaired, added }: OriginCounts) => said + repaired + added;

/** A share as per cent that is whole only where all of it is: 99.6 % is not 100 %. */
export function sharePercent(share: number): string {
  const value = share * 100;
  if (value === 0 || value === 100) return `${value} %`;
  return value > 99.4 ? '99 %' : value < 0.6 ? 'under 1 %' : `${Math.round(value)} %`;
}

/** How much of a section was said: a bar filled to what the speaker said, lighter for small repairs. */
function SaidBar({ counts }: { counts: OriginCounts }) {
  const all = Math.max(1, allOf(counts));
  return (
    <span aria-hidden className="flex h-2 w-full overflow-hidden rounded-xs bg-sand">
      <span className="bg-marram" style={{ width: `${(100 * counts.said) / all}%` }} />
      <span className="bg-marram/45" style={{ width: `${(100 * counts.repaired) / all}%` }} />
    </span>
  );
}

/** The fidelity in a line: how much of the draft was said, repaired, added. */
export function FidelityLine({ account: { counts, fidelity } }: { account: FidelityAccount }) {
  const all = allOf(counts);
  if (all === 0) return <p className="text-soft">The draft has no words yet.</p>;
  return (
    <p role="status" aria-label="Fidelity">
      <strong className="text-[17px] font-semibold tabular-nums">{sharePercent(fidelity)}</strong> the
      speaker’s.{' '}
      <span className="text-soft">
        {counted(counts.repaired, 'small repair')}, {counted(counts.added, 'word')} added
      </span>
    </p>
  );
}

/** Steps through what was added and what was left out. */
export function FidelitySteps({
  account: { added, leftOut },
  addedAt,
  leftAt,
  onAdded,
  onLeft,
}: {
  account: FidelityAccount;
  addedAt: number | null;
  leftAt: number | null;
  onAdded: (run: AddedRun, at: number) => void;
  onLeft: (run: LeftOutRun, at: number) => void;
}) {
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <Stepper name="Added" count={added.length} at={addedAt} onStep={(at) => onAdded(added[at], at)} />
      <Stepper name="Left out" count={leftOut.length} at={leftAt} onStep={(at) => onLeft(leftOut[at], at)} />
    </p>
  );
}

/** A bar for each section of the draft. */
export function SectionBars({
  account: { sections },
  onSection,
}: {
  account: FidelityAccount;
  onSection: (blockId: string) => void;
}) {
  return (
    <ul aria-label="Fidelity by section" className="space-y-1 text-[13px]">
      {sections.map(({ blockId, heading, counts, fidelity }) => (
        <li key={blockId || 'opening'} className="grid grid-cols-[1fr_72px_44px] items-center gap-2">
          <button
            type="button"
            title={heading || 'The opening'}
            onClick={() => onSection(blockId)}
            className="truncate text-left hover:text-sea"
          >
            {heading || 'The opening'}
          </button>
          <SaidBar counts={counts} />
          <span className="text-right text-soft tabular-nums">{sharePercent(fidelity)}</span>
        </li>
      ))}
    </ul>
  );
}
