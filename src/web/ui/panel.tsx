import { Popover } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

export interface PanelProps {
  align?: 'start' | 'end';
  /** Classes of the panel, such as its width. */
  panel?: string;
  /** Given where the panel is closed from within. */
  open?: boolean | undefined;
  onOpenChange?: ((open: boolean) => void) | undefined;
  children: ReactNode;
}

/** A small panel beside its button; open at once, as it is loaded when it is asked for. */
export function Panel({
  trigger,
  align = 'end',
  panel = '',
  open,
  onOpenChange,
  children,
}: PanelProps & { trigger: ReactElement }) {
  return (
    <Popover.Root
      {...(open === undefined ? { defaultOpen: true } : { open })}
      {...(onOpenChange ? { onOpenChange } : {})}
    >
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align={align}
          sideOffset={4}
          className={`rise z-30 rounded-md border bg-sheet p-3 text-[13px] ${panel}`}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
