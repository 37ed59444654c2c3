import { directionOf } from './direction.ts';
import { baseForm } from './inflections.ts';
import { type Matching, matchingOf } from './matching.ts';
import { normalForm } from './normal.ts';
import { isFunctionWord } from './stop-words.ts';
import { plainWords } from './tokens.ts';
import { Vocabulary } from './vocabulary.ts';

/** Keys of a keyword: under which it is filed, and under which its rivals are looked up. */
export interface KeywordKeys {
  filed: string[];
  asked: string[];
}

/**
 * Keys by which two keywords are told to be the same target: one is filed under a key that the other asks for where
 * they are variants (inflected, reordered, hyphenated or closed up). Two phrases that each point somewhere ("word
 * to pdf") must point the same way; in languages of which no rules are known only case and spacing are forgiven.
 */
export function keywordKeys(phrase: string, language: string): KeywordKeys {
  const matching = matchingOf(language);
  const words = plainWords(phrase);
  const alike = (...keys: string[]): KeywordKeys => ({ filed: keys, asked: keys });
  if (words.length === 0) return alike();
  if (matching.code === '') return alike(words.join(''));
  if (matching.code !== 'en') return alike(...keysByStems(words, matching));
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

/** The keys of a phrase in a language told by stems: its content words by what is shortest left of each, in any order, and closed up. */
function keysByStems(words: readonly string[], matching: Matching): string[] {
  const vocabulary = new Vocabulary();
  const content = words.filter((word) => !matching.isFunction(word));
  const stems = (content.length > 0 ? content : words).map((word) => {
    const left = matching
      .candidates(vocabulary, vocabulary.idOf(word))
      .filter((candidate) => candidate.endsWith('~'));
    // What has no other forms is filed by itself: "test" beside "testo".
    return left.length === 0
      ? `${word}=`
      : left.reduce((shortest, stem) => (stem.length < shortest.length ? stem : shortest), `${word}~`);
  });
  return [[...stems].sort().join(' '), stems.map((stem) => stem.replace(/~$/, '')).join('')];
}
