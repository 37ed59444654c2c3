import { oneSpelling } from './spellings.ts';

/** Lower case, straight apostrophes, one form for composed and decomposed letters. */
export function fold(word: string): string {
  const low = word.toLowerCase();
  // Pure ASCII needs no more: the common case, kept quick.
  for (let at = 0; at < low.length; at++) {
    if (low.charCodeAt(at) > 126) return low.normalize('NFC').replaceAll('’', "'");
  }
  return low;
}

/** Small letters a to z and digits alone. */
function isPlain(form: string): boolean {
  for (let at = 0; at < form.length; at++) {
    const code = form.charCodeAt(at);
    if (code < 97 ? code < 48 || code > 57 : code > 122) return false;
  }
  return true;
}

/**
 * The form by which words are compared: folded, without diacritics, apostrophes and possessive endings, in one spelling
 * of those that are spelled in two ways ("colour", "organize").
 */
export const normalForm = (word: string): string => normalOfFolded(fold(word));

/** The same for a word that is folded already. */
export function normalOfFolded(folded: string): string {
  let form = folded;
  if (!isPlain(form)) {
    form = form.replace(/'s?$/, '').normalize('NFD').replace(/\p{M}/gu, '').normalize('NFC');
    form = form
      .replaceAll("'", '')
      .replaceAll('ß', 'ss')
      .replaceAll('æ', 'ae')
      .replaceAll('œ', 'oe')
      .replaceAll('ø', 'o');
  }
  return oneSpelling(form);
}
