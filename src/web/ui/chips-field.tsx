import { X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Field } from './field.tsx';
import { IconButton } from './icon-button.tsx';
import { isEnter } from './keys.ts';

interface ChipsProps {
  label: string;
  items: readonly string[];
  onChange: (items: string[]) => void;
  note?: ReactNode;
  placeholder?: string;
  /** What parts a pasted list: commas and lines, or lines alone for sentences. */
  splitAt?: RegExp;
  suggestions?: readonly string[];
}

/** A list typed or pasted: Enter adds, pasted lists are taken apart, Backspace in the empty field takes the last back. */
export function ChipsField({
  label,
  items,
  onChange,
  note,
  placeholder,
  splitAt = /[,;\n\r]+/,
  suggestions = [],
}: ChipsProps) {
  const [typed, setTyped] = useState('');
  const add = (text: string) => {
    const fresh = text
      .split(splitAt)
      .map((part) =>
        part
          .split('\t')[0]
          .trim()
          .replace(/^[-*•]\s+/, ''),
      )
      .filter(Boolean);
    const seen = new Set(items.map((item) => item.toLowerCase()));
    const next = [...items];
    for (const item of fresh) {
      if (seen.has(item.toLowerCase())) continue;
      seen.add(item.toLowerCase());
      next.push(item);
    }
    if (next.length !== items.length) onChange(next);
    setTyped('');
  };
  const open = suggestions.filter((suggestion) => !items.includes(suggestion));
  return (
    <Field label={label} note={note}>
      {(id, noteId) => (
        <>
          <div className="flex flex-wrap items-center gap-1.5 rounded-md border bg-sheet px-2 py-1.5">
            {items.map((item) => (
              <span
                key={item}
                className="inline-flex max-w-full items-center gap-1 rounded-md border bg-paper py-0.5 pr-0.5 pl-2"
              >
                <span className="min-w-0 break-words">{item}</span>
                <IconButton
                  name={`Remove ${item}`}
                  icon={X}
                  size={13}
                  look="grave"
                  onClick={() => onChange(items.filter((other) => other !== item))}
                  className="p-0.5!"
                />
              </span>
            ))}
            <input
              id={id}
              aria-describedby={noteId}
              value={typed}
              placeholder={items.length ? '' : placeholder}
              onChange={(event) => setTyped(event.target.value)}
              onPaste={(event) => {
                const text = event.clipboardData.getData('text');
                if (!splitAt.test(text)) return;
                event.preventDefault();
                add(typed + text);
              }}
              onKeyDown={(event) => {
                if (isEnter(event) && typed.trim()) {
                  event.preventDefault();
                  add(typed);
                } else if (event.key === 'Backspace' && typed === '' && items.length)
                  onChange(items.slice(0, -1));
              }}
              onBlur={() => typed.trim() && add(typed)}
              className="min-w-32 flex-1 bg-transparent px-0.5 py-0.5 outline-none"
            />
          </div>
          {open.length > 0 && (
            <div className="mt-1.5 flex flex-wrap gap-x-3 gap-y-1 text-[13px]">
              {open.map((suggestion) => (
                <button
                  key={suggestion}
                  type="button"
                  onClick={() => add(suggestion)}
                  className="text-marram underline decoration-marram/40 underline-offset-4 hover:decoration-marram"
                >
                  {suggestion}
                </button>
              ))}
            </div>
          )}
        </>
      )}
    </Field>
  );
}
