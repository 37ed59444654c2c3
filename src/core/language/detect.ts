import { ara, dan, deu, eng, fin, fra, ita, nld, nob, pol, por, rus, spa, swe, tur, ukr } from 'stopword';
import { normalForm } from './normal.ts';

const LISTS: Record<string, string[]> = {
  en: eng,
  de: deu,
  fr: fra,
  es: spa,
  it: ita,
  nl: nld,
  pt: por,
  sv: swe,
  da: dan,
  nb: nob,
  fi: fin,
  pl: pol,
  tr: tur,
  ru: rus,
  uk: ukr,
  ar: ara,
};

const CODES = Object.keys(LISTS);

/** For each stop word the languages that have it, one bit each in the order of `CODES`. */
let masks: Map<string, number> | null = null;

function stopWordMasks(): Map<string, number> {
  if (masks) return masks;
  masks = new Map();
  for (const [at, code] of CODES.entries())
    for (const word of LISTS[code]) masks.set(word, (masks.get(word) ?? 0) | (1 << at));
  return masks;
}

const smallWords = new Map<string, ReadonlySet<string>>();

/** Words of a language that name nothing by themselves ("und", "avec"), in their normal form; none where no list is known, nor for English, which is told by parts of speech. */
export function smallWordsOf(language: string): ReadonlySet<string> {
  const code = language.toLowerCase().split('-')[0];
  let words = smallWords.get(code);
  if (!words) {
    words = new Set(code === 'en' || !Object.hasOwn(LISTS, code) ? [] : LISTS[code].map(normalForm));
    smallWords.set(code, words);
  }
  return words;
}

/** Letters from Greek on, which Latin, its accents and its punctuation never reach. */
const OTHER_SCRIPTS = /[\u0370-\u1dff\u2c00-\uffff]/;

/**
 * The language of a text, by its script and its stop words; `en` where that is undecided.
 * Reads at most the first 4,000 characters.
 */
export function detectLanguage(text: string): string {
  const head = text.slice(0, 4000);
  if (!/\p{L}/u.test(head)) return 'en';
  const script = OTHER_SCRIPTS.test(head) ? languageOfScript(head) : null;
  if (script !== null) return script;
  const known = stopWordMasks();
  const words = head.toLowerCase().match(/[\p{L}\p{M}']+/gu) ?? [];
  const hits = new Uint16Array(CODES.length);
  for (const word of words)
    for (let mask = known.get(word) ?? 0, at = 0; mask > 0; mask >>>= 1, at++) hits[at] += mask & 1;
  let best = 0;
  for (let at = 1; at < hits.length; at++) if (hits[at] > hits[best]) best = at;
  // A handful of hits says nothing.
  return hits[best] >= 3 && hits[best] / words.length > 0.12 ? CODES[best] : 'en';
}

/** The language that a script of its own tells; null where none does. */
function languageOfScript(head: string): string | null {
  const count = (pattern: RegExp) => head.match(pattern)?.length ?? 0;
  const letters = count(/\p{L}/gu);
  const kana = count(/[\p{Script=Hiragana}\p{Script=Katakana}]/gu);
  const han = count(/\p{Script=Han}/gu);
  if ((kana + han) / letters > 0.3) return kana > 0.05 * (kana + han) ? 'ja' : 'zh';
  if (count(/\p{Script=Hangul}/gu) / letters > 0.3) return 'ko';
  if (count(/\p{Script=Thai}/gu) / letters > 0.3) return 'th';
  if (count(/\p{Script=Hebrew}/gu) / letters > 0.3) return 'he';
  if (count(/\p{Script=Greek}/gu) / letters > 0.3) return 'el';
  return null;
}

/** True where the English lists and formulas hold: a tag such as `en`, `en-GB` or `en_US`. */
export const isEnglish = (language: string): boolean => /^en(?:[-_]|$)/i.test(language.trim());
