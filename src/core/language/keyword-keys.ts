import { inflectionCandidates } from './inflections.ts';
import { normalForm } from './normal.ts';
import { directionOf } from './phrase.ts';
import { isFunctionWord } from './stop-words.ts';
import { plainWords } from './tokens.ts';

/**
 * Keys under which a keyword is the same target as another: two keywords that share one are variants (inflected,
 * reordered, hyphenated or closed up). In languages other than English only case and spacing are forgiven.
 */
export function keywordKeys(phrase: string, english: boolean): string[] {
  const words = plainWords(phrase);
  if (words.length === 0) return [];
  if (!english) return [words.join('')];
  const shortest = (word: string) =>
    inflectionCandidates(normalForm(word)).reduce((best, next) => (next.length < best.length ? next : best));
  const content = words.filter((word) => !isFunctionWord(word));
  if (content.length < 2) return [words.map(shortest).join('')];
  const directional = words.some((word, at) => directionOf(word) !== 'none' && words[at - 1] !== 'how');
  const bases = content.map(shortest);
  if (directional)
    return [
      words.map((word) => (directionOf(word) === 'none' ? shortest(word) : directionOf(word))).join(''),
    ];
  return [[...bases].sort().join(' '), bases.join('')];
}
