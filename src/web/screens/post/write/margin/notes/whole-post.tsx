import { ChevronRight } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { type CriterionResult, gainOf } from '../../../../../../core/criteria/index.ts';
import { ToWin } from '../../../../../ui/earned.tsx';
import { counted } from '../../../../../ui/figures.ts';

/** Notes that speak of no place in the text: folded into one line with what they would win together. */
export function WholePost({ notes, children }: { notes: readonly CriterionResult[]; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <div className="mb-3">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="flex w-full items-center gap-1.5 border-t border-line py-1.5 text-left text-[13px] font-medium hover:text-sea"
      >
        <ChevronRight
          size={14}
          aria-hidden
          className={`shrink-0 transition-transform ${open ? 'rotate-90' : ''}`}
        />
        <span className="min-w-0 flex-1">The whole post: {counted(notes.length, 'note')}</span>
        <ToWin points={notes.reduce((sum, note) => sum + gainOf(note), 0)} />
      </button>
      {open && <ol className="pl-5">{children}</ol>}
    </div>
  );
}
