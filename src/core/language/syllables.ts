import { syllable } from 'syllable';
import { knownWords } from './known-words.ts';

const SPOKEN: ReadonlyMap<string, number> = new Map(
  Object.entries({
    etc: 4,
    http: 4,
    https: 5,
    html: 4,
    css: 3,
    url: 3,
    pdf: 3,
    km: 3,
    kg: 3,
    mm: 4,
    cm: 4,
  }),
);

/** Syllables of an English word as spoken; digits count one each, at least 1. */
export function syllablesOf(word: string): number {
  const spoken = SPOKEN.get(word) ?? knownWords().syllables.get(word);
  if (spoken) return spoken;
  if (/^[\d.,]+$/.test(word)) return Math.max(1, word.replace(/\D/g, '').length);
  return Math.max(1, syllable(word));
}
