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
  /** Why what stands there cannot be taken; said in place of the note. */
  problem?: string | undefined;
  placeholder?: string | undefined;
  rows?: number;
  list?: readonly string[];
  inputMode?: 'text' | 'numeric';
  /** Whether the caret stands in it at once: somebody was led here. */
  autoFocus?: boolean;
  /** Its value comes back from storage later than it is typed, or not at all: it shows what was typed until then. */
  stored?: boolean;
}

/** A text field; with `rows` a larger one that grows. */
export function TextField({
  label,
  value,
  onChange,
  note,
  problem = '',
  placeholder,
  rows,
  list,
  inputMode,
  autoFocus = false,
  stored = false,
}: TextProps) {
  /** What was typed, and what was kept when the last key came. */
  const [typed, setTyped] = useState<{ text: string; before: string } | null>(null);
  const [left, setLeft] = useState(true);
  // Once it is left, whatever storage answered stands there; what it never took stays in sight.
  if (typed && left && value !== typed.before) setTyped(null);
  const own = {
    'aria-invalid': problem === '' ? undefined : true,
    value: stored && typed ? typed.text : value,
    placeholder,
    inputMode,
    onChange: ({ target }: { target: { value: string } }) => {
      setTyped({ text: target.value, before: value });
      onChange(target.value);
    },
    onFocus: () => setLeft(false),
    onBlur: () => setLeft(true),
  };
  return (
    <Field label={label} note={problem ? <span className="text-rust">{problem}</span> : note}>
      {(id, noteId) =>
        rows ? (
          <textarea
            id={id}
            aria-describedby={noteId}
            rows={rows}
            {...own}
            className={`${BOX} field-sizing-content`}
          />
        ) : (
          <>
            <input
              id={id}
              aria-describedby={noteId}
              list={list ? `${id}-list` : undefined}
              // biome-ignore lint/a11y/noAutofocus: only where the writer asked to be led to this very field
              autoFocus={autoFocus}
              {...own}
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
