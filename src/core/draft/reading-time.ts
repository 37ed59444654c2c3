/**
 * Words a minute that grown-up readers of English take in silently (M. Brysbaert, "How many words do we read per
 * minute?", Journal of Memory and Language 109, 2019: 238 for non-fiction).
 */
const WORDS_PER_MINUTE = 238;

/** Whole minutes that a text takes to read, at least one; null: there is nothing to read. */
export const readingMinutes = (words: number): number | null =>
  words > 0 ? Math.max(1, Math.round(words / WORDS_PER_MINUTE)) : null;

/** Words of a text as a reader counts them: parts joined by a hyphen are one. */
export const wordsIn = (text: string): number =>
  text.match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}'’-]*/gu)?.length ?? 0;
