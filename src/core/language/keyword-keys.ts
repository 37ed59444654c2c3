import { baseForm } from './inflections.ts';
import { normalForm } from './normal.ts';
import { directionOf } from './phrase.ts';
import { isFunctionWord } from './stop-words.ts';
import { plainWords } from './tokens.ts';

/** Keys of a keyword: under which it is filed, and under which its rivals are looked up. */
export interface KeywordKeys {
  filed: string[];
  asked: string[];
}

/**
 * Keys by which two keywords are told to be the same target: one is filed under a key that the other asks for where
 * they are variants (inflected, reordered, hyphenated or closed up). Two phrases that each point somewhere ("word
 * to pdf") must point the same way; in languages other than English only case and spacing are forgiven.
 */
export function keywordKeys(phrase: string, english: boolean): KeywordKeys {
  const words = plainWords(phrase);
  const alike = (...keys: string[]): KeywordKeys => ({ filed: keys, asked: keys });
  if (words.length === 0) return alike();
  if (!english) return alike(words.join(''));
  const base = (word: string) => baseForm(normalForm(word));
  const content = words.filter((word) => !isFunctionWord(word));
  if (content.length < 2) return alike(words.map(base).join(''));
  const bases = content.map(base);
  const sorted = [...bases].sort().join(' ');
  const directional = words.some((word, at) => directionOf(word) !== 'none' && words[at - 1] !== 'how');
  if (!directional)
    return {
      filed: [sorted, bases.join(''), `plain ${sorted}`],
      asked: [sorted, bases.join(''), `pointing ${sorted}`],
    };
  const pointing = words
    .filter((word) => !isFunctionWord(word) || directionOf(word) !== 'none')
    .map((word) => (directionOf(word) === 'none' ? base(word) : directionOf(word)))
    .join('');
  return { filed: [pointing, `pointing ${sorted}`], asked: [pointing, `plain ${sorted}`] };
}
