/** Counts that the reading formulas take. */
export interface ReadingCounts {
  words: number;
  sentences: number;
  syllables: number;
  /** Letters of its words, for formulas that count them. */
  letters?: number;
  /** Words of more than six letters. */
  longWords?: number;
}

/**
 * Flesch Reading Ease: higher is easier, about 0 to 100. Null without words.
 * Source: R. Flesch, "A new readability yardstick", Journal of Applied Psychology 32 (1948).
 */
export function fleschReadingEase({ words, sentences, syllables }: ReadingCounts): number | null {
  if (words === 0 || sentences === 0) return null;
  return 206.835 - 1.015 * (words / sentences) - 84.6 * (syllables / words);
}

/**
 * Flesch-Kincaid grade: school years needed. Null without words.
 * Source: J. P. Kincaid et al., Research Branch Report 8-75, Naval Technical Training Command (1975).
 */
export function fleschKincaidGrade({ words, sentences, syllables }: ReadingCounts): number | null {
  if (words === 0 || sentences === 0) return null;
  return 0.39 * (words / sentences) + 11.8 * (syllables / words) - 15.59;
}
