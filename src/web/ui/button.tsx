import type { ButtonHTMLAttributes } from 'react';

type Look = 'main' | 'plain' | 'word';

const LOOKS: Record<Look, string> = {
  main: 'rounded-md bg-marram px-3 py-1.5 font-semibold text-paper hover:opacity-90',
  plain: 'min-h-8.5 rounded-md border bg-sheet px-2.5 py-1.5 hover:border-soft',
  word: 'font-semibold text-marram underline decoration-marram/40 underline-offset-4 hover:decoration-marram',
};

/** A button: the one main action, a plain one, or words to press. */
export function Button({
  look = 'plain',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return (
    <button
      type="button"
      className={`inline-flex items-center gap-1.5 text-left transition-opacity ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
