import type { PatternField } from '../../../../../core/writing/index.ts';
import { TextField } from '../../../../ui/field.tsx';

/** One field of a pattern: required ones are marked, own values are allowed, its length is said while it is typed. */
export function FieldInput({
  field,
  value,
  problem,
  onChange,
}: {
  field: PatternField;
  value: string;
  problem: string;
  onChange: (value: string) => void;
}) {
  const { name, kind, required, suggestions, most } = field;
  const words = value.trim() === '' ? 0 : value.trim().split(/\s+/).length;
  const length =
    kind === 'number' || value.trim() === ''
      ? ''
      : kind === 'list'
        ? `${value.split('\n').filter((line) => line.trim()).length} in all, one in each line`
        : most !== null
          ? `${value.length} of ${most} characters`
          : kind === 'text'
            ? `${words} words`
            : '';
  return (
    <TextField
      label={`${name}${required ? ' (needed)' : ''}`}
      value={value}
      onChange={onChange}
      problem={problem}
      note={length || (kind === 'list' ? 'One in each line.' : undefined)}
      {...(kind === 'text' ? { rows: 3 } : kind === 'list' ? { rows: 2 } : {})}
      {...(kind === 'number' ? { inputMode: 'numeric' as const } : {})}
      {...(suggestions.length > 0 ? { list: suggestions } : {})}
    />
  );
}
