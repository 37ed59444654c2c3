import type { LanguageRemark } from './language-remark.ts';

/** Words that a house writes one way. */
export interface HouseWord {
  /** What is written; empty: nothing, the others are just avoided. */
  use: string;
  /** What is not. */
  avoid: string[];
}

/** House words made ready to be looked for. */
export interface HouseWordFinder {
  find: (masked: string) => LanguageRemark[];
}

const escaped = (words: string): string =>
  words
    .trim()
    .replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
    .replace(/\s+/g, '\\s+')
    .replace(/['’]/g, "['’]");

/** Finds words that the house avoids, whole and in any case; what stands there instead keeps a capital. */
export function houseWordFinder(words: readonly HouseWord[]): HouseWordFinder {
  const useOf = new Map<string, string>();
  for (const { use, avoid } of words) {
    for (const one of avoid) {
      const key = one.trim().replace(/\s+/g, ' ').replaceAll('’', "'").toLowerCase();
      if (key !== '' && one.trim() !== use.trim()) useOf.set(key, use.trim());
    }
  }
  if (useOf.size === 0) return { find: () => [] };
  // Longer ones first: "sign up form" before "sign up".
  const forms = [...useOf.keys()].sort((a, b) => b.length - a.length).map(escaped);
  const pattern = new RegExp(
    `(?<![\\p{L}\\p{N}\\p{M}\\uE000-])(?:${forms.join('|')})(?![\\p{L}\\p{N}\\p{M}\\uE000-])`,
    'giu',
  );
  return {
    find: (masked) =>
      [...masked.matchAll(pattern)].flatMap((hit): LanguageRemark[] => {
        const [quote] = hit;
        const use = useOf.get(quote.replace(/\s+/g, ' ').replaceAll('’', "'").toLowerCase()) ?? '';
        const isCapital = /^\p{Lu}/u.test(quote);
        const instead = isCapital ? use.charAt(0).toUpperCase() + use.slice(1) : use;
        // "Wi-Fi" for "wi-fi": the right writing found by a rule that does not mind capitals.
        if (quote === use || quote === instead) return [];
        return [
          {
            kind: 'house',
            start: hit.index,
            end: hit.index + quote.length,
            quote,
            says: use ? `The house writes “${use}”.` : 'The house does not use this.',
            instead: use ? [instead] : [],
          },
        ];
      }),
  };
}
