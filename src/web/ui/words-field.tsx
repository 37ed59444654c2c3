import { type ReactNode, useState } from 'react';
import { TextField } from './field.tsx';

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
  const [problem, setProblem] = useState('');
  return (
    <TextField
      stored
      label={label}
      value={value === null ? '' : String(value)}
      onChange={(typed) => {
        const read = readWords(typed);
        setProblem('problem' in read ? read.problem : '');
        if ('words' in read) onChange(read.words);
      }}
      note={note}
      problem={problem}
      placeholder={placeholder}
      inputMode="numeric"
    />
  );
}
