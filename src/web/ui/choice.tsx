import type { SelectHTMLAttributes } from 'react';

/** One of what can be chosen. */
export interface Option<Value extends string> {
  value: Value;
  name: string;
}

/**
 * A choice of one, as the machine itself shows it: with its keys, its search by typing and, on a phone, its wheel. It
 * needs a label of its own, around it or as `aria-label`.
 */
export function Choice<Value extends string>({
  value,
  onChange,
  options,
  className = 'px-2 py-1.5',
  ...rest
}: Omit<SelectHTMLAttributes<HTMLSelectElement>, 'value' | 'onChange'> & {
  value: Value;
  onChange: (value: Value) => void;
  options: readonly Option<Value>[];
}) {
  return (
    <select
      value={value}
      onChange={(event) => onChange(event.target.value as Value)}
      className={`rounded-md border text-ink ${className}`}
      {...rest}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.name}
        </option>
      ))}
    </select>
  );
}
