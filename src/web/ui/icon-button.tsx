import type { LucideIcon } from 'lucide-react';
import type { ButtonHTMLAttributes } from 'react';
import { Hint } from './hint.tsx';

/** A button that is a picture alone: its name is said by readers and shown when it is pointed at. */
export function IconButton({
  name,
  icon: Icon,
  hint,
  look = 'plain',
  size = 15,
  className = '',
  ...rest
}: Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'name'> & {
  name: string;
  icon: LucideIcon;
  /** What is shown in place of the name: its keys too, or what it does. */
  hint?: string | undefined;
  /** `grave` takes something away; `tool` stands in a toolbar, where it can be on. */
  look?: 'plain' | 'grave' | 'tool';
  size?: number;
}) {
  const button = (
    <button
      type="button"
      aria-label={name}
      title={hint === undefined ? name : undefined}
      className={`rounded text-soft ${LOOKS[look]} ${className}`}
      {...rest}
    >
      <Icon size={size} aria-hidden />
    </button>
  );
  return hint === undefined ? button : <Hint text={hint}>{button}</Hint>;
}

const LOOKS = {
  plain: 'p-1 hover:text-ink disabled:invisible aria-pressed:text-marram',
  grave: 'p-1 hover:text-rust disabled:invisible',
  tool: 'p-1.5 hover:bg-paper hover:text-ink aria-pressed:bg-sand/60 aria-pressed:text-ink',
};
