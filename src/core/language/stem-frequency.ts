import { stem } from './stems.ts';
import { isStopWord } from './stop-words.ts';
import { countedForms, wordCount } from './word-frequency.ts';

let counts: Map<string, number> | null = null;

/** How often words of a stem are met in the corpus, all forms together; 2 for those of which none is counted. */
export function stemCount(stemText: string): number {
  if (!counts) {
    counts = new Map();
    for (const word of countedForms()) {
      if (isStopWord(word)) continue;
      const of = stem(word);
      counts.set(of, (counts.get(of) ?? 0) + wordCount(word));
    }
  }
  return counts.get(stemText) ?? 2;
}
