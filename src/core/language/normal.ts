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

/**
 * The form by which words are compared: folded, without diacritics, apostrophes and possessive endings, in one spelling
 * of those that are spelled in two ways ("colour", "organize").
 */
export function normalForm(word: string): string {
  let form = fold(word);
  if (/[^a-z0-9]/.test(form)) {
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
