import { isFunctionWord } from '../language/index.ts';
import type { LanguageRemark } from './language-remark.ts';

const ARTICLE = /(?<![\p{L}\p{N}\p{M}\uE000'’.-])(an?)(\s+["“‘'(]?)([\p{L}\p{N}][\p{L}\p{N}\p{M}]*)/giu;

/** Written with a vowel, spoken with a consonant: "a union", "a one-way street". */
const LIKE_CONSONANT =
  /^(?:uni(?!n[^ti]|m[^o])|us(?:e|a[gb]|ur|ual)|ut(?:ens|il|op)|ur(?:in|an)|ubiq|eu|ew|u(?:k|b)r|one(?:s|ness)?$|once)/;
/** Written with a consonant, spoken with a vowel: "an hour". */
const LIKE_VOWEL = /^(?:hour|honest|honou?r|heir)/;
/** Said either way. */
const EITHER = /^(?:herb|historic|hotel|habitual|heroic|ukulele|hysteric|url|sql|faq|led|lan|mit|u$)/;
/** Letters whose names begin with a vowel, for words that are said letter by letter. */
const VOWEL_NAMES = /^[AEFHILMNORSX]/;

/** Whether a word is spoken with a vowel first; null where people differ, or it cannot be told. */
export function beginsWithVowel(word: string): boolean | null {
  const lower = word.toLowerCase();
  if (EITHER.test(lower)) return null;
  if (/^\d/.test(word)) return /^(?:8|1[18](?!\d)|1[18]\d{3}(?!\d))/.test(word);
  if (word.length === 1) return VOWEL_NAMES.test(word.toUpperCase());
  // Said as a word or letter by letter: only those without a vowel, and those of two letters, are sure.
  if (word === word.toUpperCase())
    return word.length === 2 || !/[AEIOUY]/.test(word) ? VOWEL_NAMES.test(word) : null;
  if (/^[A-Z][A-Z]/.test(word)) return null;
  if (LIKE_CONSONANT.test(lower)) return false;
  if (LIKE_VOWEL.test(lower)) return true;
  return /^[aeiou]/.test(lower.normalize('NFD'));
}

/**
 * "A" before a vowel, "an" before a consonant, by how the next word is spoken. An "a" that is a letter or a name ("plan A is",
 * "a and b") is none; neither is a word that is said in two ways.
 */
export function articleRemarks(masked: string): LanguageRemark[] {
  const remarks: LanguageRemark[] = [];
  for (const hit of masked.matchAll(ARTICLE)) {
    const [, article, , word] = hit;
    const isAn = article.length === 2;
    const isCapital = /^A/.test(article);
    if (article === 'AN' || (isCapital && !isStart(masked, hit.index))) continue;
    if (isFunctionWord(word.toLowerCase()) || (!isAn && word.length === 1)) continue;
    // "a la carte", "a priori": words of other languages.
    if (/^(?:la|le|priori|posteriori|capella|cappella)$/i.test(word)) continue;
    const vowel = beginsWithVowel(word);
    if (vowel === null || vowel === isAn) continue;
    const right = `${article[0]}${isAn ? '' : 'n'}`;
    remarks.push({
      kind: 'article',
      start: hit.index,
      end: hit.index + article.length,
      quote: article,
      says: `“${right} ${word}”, as it is spoken.`,
      instead: [right],
    });
  }
  return remarks;
}

const isStart = (text: string, at: number): boolean =>
  /(?:^|[.!?:“"(\n]\s*)$/.test(text.slice(Math.max(0, at - 3), at));
