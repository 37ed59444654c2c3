import type { CSSProperties, MouseEvent } from 'react';
import { Toaster } from 'sonner';

/**
 * What was pressed in a notice does not take the focus: the notice goes a moment later and would give it back to where it was before,
 * away from wherever the writer has clicked meanwhile.
 */
function leaveFocus(event: MouseEvent): void {
  if (event.target instanceof Element && event.target.closest('button')) event.preventDefault();
}

/** Notices of what was done, with their ways back. */
export function Toasts() {
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: nothing is done here; what is pressed inside keeps its own action
    <div onMouseDown={leaveFocus}>
      <Toaster
        position="bottom-center"
        style={
          {
            fontFamily: "'Public Sans Variable', system-ui, sans-serif",
            // Wide enough for a sentence and two buttons beside it.
            '--width': 'min(480px, 94vw)',
          } as CSSProperties
        }
        toastOptions={{
          style: {
            background: 'var(--c-sheet)',
            color: 'var(--c-ink)',
            border: '1px solid var(--c-line)',
            borderRadius: 6,
            fontFamily: 'inherit',
            fontSize: 14,
            boxShadow: 'none',
          },
          cancelButtonStyle: {
            background: 'transparent',
            color: 'var(--c-ink)',
            border: '1px solid var(--c-line)',
            fontWeight: 600,
            fontFamily: 'inherit',
          },
          actionButtonStyle: {
            background: 'var(--c-marram)',
            color: 'var(--c-paper)',
            fontWeight: 600,
            fontFamily: 'inherit',
          },
        }}
      />
    </div>
  );
}
