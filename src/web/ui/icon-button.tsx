import type { LucideIcon } from 'lucide-react';
import type { ButtonHTMLAttributes } from 'react';

/** A button that is a picture alone: its name is said by readers and shown when it is pointed at. */
export function IconButton({
  name,
  icon: Icon,
  grave = false,
  size = 15,
  className = '',
  ...rest
}: Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'name'> & {
  name: string;
  icon: LucideIcon;
  /** It takes something away. */
  grave?: boolean;
  size?: number;
}) {
  return (
    <button
      type="button"
      aria-label={name}
      title={name}
      className={`rounded p-1 text-soft ${grave ? 'hover:text-rust' : 'hover:text-ink'} disabled:invisible ${className}`}
      {...rest}
    >
      <Icon size={size} aria-hidden />
    </button>
  );
}
