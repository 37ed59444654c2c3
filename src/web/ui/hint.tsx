import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';

/** A tooltip around something that can take focus. */
export function Hint({ text, children }: { text: ReactNode; children: ReactNode }) {
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          sideOffset={5}
          collisionPadding={8}
          className="rise z-50 max-w-64 rounded-md border bg-sheet px-2.5 py-1.5 text-[13px] text-ink"
        >
          {text}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}
