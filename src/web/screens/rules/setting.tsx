import { type ReactNode, useState } from 'react';
import { TextField } from '../../ui/field.tsx';

/** A setting that is stored as it is typed; while it is typed the field does not wait for storage to catch up. */
export function Setting({
  value,
  onChange,
  ...rest
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  note?: ReactNode;
  placeholder?: string;
  rows?: number;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: it only notes when its field is left
    <div onBlur={() => setTyped(null)}>
      <TextField
        {...rest}
        value={typed ?? value}
        onChange={(next) => {
          setTyped(next);
          onChange(next);
        }}
      />
    </div>
  );
}
