import { Button } from '../../ui/button.tsx';
import type { LongLook } from './use-long-look.ts';

/** How far a long look is, with the way to stop it. */
export function LongLookLine({ of, name }: { of: Pick<LongLook<unknown>, 'done' | 'stop'>; name: string }) {
  if (of.done === null) return null;
  return (
    <p role="status" className="flex items-center gap-3 text-[13px] text-soft">
      {name}: {Math.round(of.done * 100)} %<Button onClick={of.stop}>Stop</Button>
    </p>
  );
}
