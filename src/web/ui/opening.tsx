import type { ReactNode } from 'react';

/** Words that open to more, which stands below them, and close again. */
export function Opening({
  open,
  onToggle,
  disabled = false,
  className = '',
  children,
}: {
  open: boolean;
  onToggle: () => void;
  /** There is nothing more. */
  disabled?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-expanded={open}
      disabled={disabled}
      onClick={onToggle}
      className={`min-w-0 text-left hover:underline disabled:opacity-100 ${className}`}
    >
      {children}
    </button>
  );
}
