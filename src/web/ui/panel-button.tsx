import { type ComponentProps, lazy, Suspense, useState } from 'react';
import { Button } from './button.tsx';
import type { PanelProps } from './panel.tsx';

const load = () => import('./panel.tsx');
const Panel = lazy(async () => ({ default: (await load()).Panel }));

/** A button that opens a small panel beside itself. What draws panels is fetched when the first one is reached for. */
export function PanelButton({
  label,
  align,
  panel,
  open,
  onOpenChange,
  children,
  ...rest
}: ComponentProps<typeof Button> & PanelProps & { label: string }) {
  const [asked, setAsked] = useState(false);
  const button = (
    <Button
      {...rest}
      aria-haspopup="dialog"
      onPointerEnter={load}
      onFocus={load}
      onClick={() => {
        setAsked(true);
        onOpenChange?.(true);
      }}
    >
      {label}
    </Button>
  );
  if (!asked && !open) return button;
  return (
    <Suspense fallback={button}>
      <Panel
        trigger={<Button {...rest}>{label}</Button>}
        {...(align ? { align } : {})}
        {...(panel ? { panel } : {})}
        open={open}
        onOpenChange={onOpenChange}
      >
        {children}
      </Panel>
    </Suspense>
  );
}
