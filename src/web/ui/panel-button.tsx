import { Popover } from 'radix-ui';
import type { ComponentProps, ReactNode } from 'react';
import { Button } from './button.tsx';

/** A button that opens a small panel beside itself. */
export function PanelButton({
  label,
  align = 'end',
  panel = '',
  open,
  onOpenChange,
  children,
  ...rest
}: ComponentProps<typeof Button> & {
  label: string;
  align?: 'start' | 'end';
  /** Classes of the panel, such as its width. */
  panel?: string;
  /** Given where the panel is closed from within. */
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  children: ReactNode;
}) {
  return (
    <Popover.Root {...(open === undefined ? {} : { open })} {...(onOpenChange ? { onOpenChange } : {})}>
      <Popover.Trigger asChild>
        <Button {...rest}>{label}</Button>
      </Popover.Trigger>
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
