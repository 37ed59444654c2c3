import type { ReactNode } from 'react';

/** A line across the top that stays until what it tells is over; `grave` where something may be lost. */
export function Notice({ grave = false, children }: { grave?: boolean; children: ReactNode }) {
  return (
    <div
      role={grave ? 'alert' : 'status'}
      className={`flex flex-wrap items-center gap-x-4 gap-y-1 border-b bg-sheet px-6 py-2 ${grave ? 'border-rust text-rust' : ''}`}
    >
      {children}
    </div>
  );
}
