import { type ReactNode, useId, useState } from 'react';
import { Choice } from './choice.tsx';

const BOX = 'w-full rounded-md border px-2.5 py-1.5';

/** A label with what it labels, and a line that explains. */
export function Field({
  label,
  note,
  children,
}: {
  label: string;
  note?: ReactNode;
  children: (id: string, noteId: string | undefined) => ReactNode;
}) {
  const id = useId();
  const noteId = note ? `${id}-note` : undefined;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {children(id, noteId)}
      {note && (
        <p id={noteId} className="mt-1 text-[13px] text-soft">
          {note}
        </p>
      )}
    </div>
  );
}

interface TextProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  note?: ReactNode;
  placeholder?: string;
  rows?: number;
  list?: readonly string[];
  /** Its value comes back from storage later than it is typed: until it is left, it shows what was typed. */
  stored?: boolean;
}

/** A text field; with `rows` a larger one that grows. */
export function TextField({
  label,
  value,
  onChange,
  note,
  placeholder,
  rows,
  list,
  stored = false,
}: TextProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const change = (next: string) => {
    if (stored) setTyped(next);
    onChange(next);
  };
  return (
    <Field label={label} note={note}>
      {(id, noteId) =>
        rows ? (
          <textarea
            id={id}
            aria-describedby={noteId}
            rows={rows}
            value={typed ?? value}
            placeholder={placeholder}
            onChange={(event) => change(event.target.value)}
            onBlur={() => setTyped(null)}
            className={`${BOX} field-sizing-content`}
          />
        ) : (
          <>
            <input
              id={id}
              aria-describedby={noteId}
              value={typed ?? value}
              placeholder={placeholder}
              list={list ? `${id}-list` : undefined}
              onChange={(event) => change(event.target.value)}
              onBlur={() => setTyped(null)}
              className={BOX}
            />
            {list && (
              <datalist id={`${id}-list`}>
                {list.map((item) => (
                  <option key={item} value={item} />
                ))}
              </datalist>
            )}
          </>
        )
      }
    </Field>
  );
}

/** A choice of one. */
export function ChoiceField<T extends string>({
  label,
  value,
  onChange,
  options,
  note,
}: {
  label: string;
  value: T;
  onChange: (value: T) => void;
  options: readonly { value: T; name: string }[];
  note?: ReactNode;
}) {
  return (
    <Field label={label} note={note}>
      {(id, noteId) => (
        <Choice
          id={id}
          aria-describedby={noteId}
          value={value}
          onChange={onChange}
          options={options}
          className="w-full px-2.5 py-1.5"
        />
      )}
    </Field>
  );
}
