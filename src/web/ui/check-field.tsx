import type { ReactNode } from 'react';

/** A box to tick whose name is not shown beside it: in a table's row, say. */
export function Check({
  name,
  checked,
  onChange,
  disabled = false,
  className = '',
}: {
  name: string;
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
  className?: string;
}) {
  return (
    <input
      type="checkbox"
      aria-label={name}
      checked={checked}
      disabled={disabled}
      onChange={(event) => onChange(event.target.checked)}
      className={`accent-marram ${className}`}
    />
  );
}

/** A box to tick with its name beside it. */
export function CheckField({
  checked,
  onChange,
  className = 'flex items-center gap-1.5',
  boxClassName = '',
  children,
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  className?: string;
  boxClassName?: string;
  children: ReactNode;
}) {
  return (
    <label className={className}>
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
        className={`accent-marram ${boxClassName}`}
      />
      {children}
    </label>
  );
}
