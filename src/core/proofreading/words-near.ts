const isLetter = (text: string, at: number): boolean => /[\p{L}\p{N}\p{M}]/u.test(text.charAt(at));

/**
 * Where some words stand in a text that may have changed since they were seen at an offset: there, else at the place nearest to
 * it where they are whole words; null: nowhere.
 *
 * @example wordsNear('It is a hour away.', 'a', 20) // 6
 */
export function wordsNear(text: string, words: string, seen: number): number | null {
  if (words === '') return null;
  if (text.startsWith(words, seen)) return seen;
  // "Note that t": with the first letter of the sentence that stays.
  const takesFirstLetter = /\s\p{L}$/u.test(words);
  let nearest: number | null = null;
  for (let at = text.indexOf(words); at !== -1; at = text.indexOf(words, at + 1)) {
    const end = at + words.length;
    const beginsWithin = isLetter(words, 0) && isLetter(text, at - 1);
    const endsWithin = !takesFirstLetter && isLetter(words, words.length - 1) && isLetter(text, end);
    if (beginsWithin || endsWithin) continue;
    if (nearest === null || Math.abs(at - seen) < Math.abs(nearest - seen)) nearest = at;
    if (at > seen) break;
  }
  return nearest;
}
