import type { ClipboardEvent } from 'react';
import { readPhraseList } from '../../core/research/index.ts';

/** A pasted column in a field of one line: its lines parted by commas, as they are typed there; null: nothing to part. */
export function pastedPhrases(text: string): string | null {
  if (!/[\r\n]/.test(text.trim())) return null;
  return readPhraseList(text)
    .map((phrase) => phrase.replace(/[,;]\s*/g, ' '))
    .join(', ');
}

/** Takes a pasted column as a list of phrases; what is pasted otherwise goes its own way. */
export function pasteList(event: ClipboardEvent<HTMLInputElement>, setValue: (value: string) => void): void {
  const phrases = pastedPhrases(event.clipboardData.getData('text'));
  if (phrases === null) return;
  event.preventDefault();
  const { value, selectionStart, selectionEnd } = event.currentTarget;
  const before = value.slice(0, selectionStart ?? value.length);
  setValue(
    `${before && !/[,\s]$/.test(before) ? `${before}, ` : before}${phrases}${value.slice(selectionEnd ?? value.length)}`,
  );
}
