import { isFunctionWord, normalForm, plainWords, stem } from '../language/index.ts';

const FEWEST = 2;
const MOST = 6;
const stemsIn = (text: string) => plainWords(text).map((word) => stem(normalForm(word)));

/**
 * What a post of which nobody has said it may want to be found for: the words of its address, where its title names all of them that tell
 * something. Empty where they say too little or too much, or the title says something else.
 *
 * `guessedKeyword('/journal/touring-tyre-pressure', 'Touring tyre pressure: less than you think')` is `touring tyre pressure`.
 */
export function guessedKeyword(path: string, title: string): string {
  const last = path.split('/').filter(Boolean).at(-1) ?? '';
  let slug = last.replace(/\.(?:html?|php|aspx?)$/i, '');
  try {
    slug = decodeURIComponent(slug);
  } catch {
    // A stray per cent sign: as it is written will do.
  }
  const words = slug.split(/[-_+\s.]+/).filter((word) => /\p{L}/u.test(word));
  const named = new Set(stemsIn(title));
  const telling = words.filter((word) => !isFunctionWord(word));
  if (telling.length < FEWEST || words.length > MOST) return '';
  return telling.every((word) => stemsIn(word).every((one) => named.has(one)))
    ? words.join(' ').toLowerCase()
    : '';
}
