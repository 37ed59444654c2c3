import { ara, dan, deu, eng, fin, fra, ita, nld, nob, pol, por, rus, spa, swe, tur, ukr } from 'stopword';

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

let sets: [string, Set<string>][] | null = null;

/**
 * The language of a text, by its script and its stop words; `en` where that is undecided.
 * Reads at most the first 4,000 characters.
 */
export function detectLanguage(text: string): string {
  const head = text.slice(0, 4000);
  const count = (pattern: RegExp) => head.match(pattern)?.length ?? 0;
  const letters = count(/\p{L}/gu);
  if (letters === 0) return 'en';
  const kana = count(/[\p{Script=Hiragana}\p{Script=Katakana}]/gu);
  const han = count(/\p{Script=Han}/gu);
  if ((kana + han) / letters > 0.3) return kana > 0.05 * (kana + han) ? 'ja' : 'zh';
  if (count(/\p{Script=Hangul}/gu) / letters > 0.3) return 'ko';
  if (count(/\p{Script=Thai}/gu) / letters > 0.3) return 'th';
  if (count(/\p{Script=Hebrew}/gu) / letters > 0.3) return 'he';
  if (count(/\p{Script=Greek}/gu) / letters > 0.3) return 'el';
  sets ??= Object.entries(LISTS).map(([code, words]) => [code, new Set(words)]);
  const words = head.toLowerCase().match(/[\p{L}\p{M}']+/gu) ?? [];
  let best = 'en';
  let bestHits = 0;
  for (const [code, set] of sets) {
    let hits = 0;
    for (const word of words) if (set.has(word)) hits += 1;
    if (hits > bestHits) {
      best = code;
      bestHits = hits;
    }
  }
  // A handful of hits says nothing.
  return bestHits >= 3 && bestHits / words.length > 0.12 ? best : 'en';
}

/** True where the English lists and formulas hold: a tag such as `en`, `en-GB` or `en_US`. */
export const isEnglish = (language: string): boolean => /^en(?:[-_]|$)/i.test(language.trim());
