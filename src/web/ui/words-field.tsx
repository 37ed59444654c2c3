import { type ReactNode, useState } from 'react';
import { Field } from './field.tsx';

/** Words that a post may have at most. */
const MAX_WORDS = 100_000;

/** Reads a number of words as it is typed: null for none, a sentence where it is no number of words. */
export function readWords(typed: string): { words: number | null } | { problem: string } {
  const digits = typed.trim().replace(/[\s,.'’](?=\d{3}(?:\D|$))/g, '');
  if (digits === '') return { words: null };
  if (/^\d{1,6}$/.test(digits) && Number(digits) > 0 && Number(digits) <= MAX_WORDS)
    return { words: Number(digits) };
  return { problem: `"${typed.trim()}" is no number of words. Type one such as 900, or nothing.` };
}

/** A number of words, or none. What is no number stays in the field, with a sentence, and changes nothing. */
export function WordsField({
  label,
  value,
  onChange,
  note,
  placeholder,
}: {
  label: string;
  value: number | null;
  onChange: (words: number | null) => void;
  note?: ReactNode;
  placeholder?: string;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const reading = typed === null ? null : readWords(typed);
  const problem = reading && 'problem' in reading ? reading.problem : '';
  return (
    <Field label={label} note={problem ? <span className="text-rust">{problem}</span> : note}>
      {(id, noteId) => (
        <input
          id={id}
          aria-describedby={noteId}
          aria-invalid={problem !== ''}
          inputMode="numeric"
          value={typed ?? value ?? ''}
          placeholder={placeholder}
          onChange={(event) => {
            const next = event.target.value;
            setTyped(next);
            const read = readWords(next);
            if ('words' in read) onChange(read.words);
          }}
          onBlur={() => {
            // What is no number is kept in sight until it is mended.
            if (!problem) setTyped(null);
          }}
          className="w-full rounded-md border px-2.5 py-1.5"
        />
      )}
    </Field>
  );
}
