import type { LanguageRules } from './language-rules.ts';

/** Marks a stem, so that it is never taken for a word. */
const STEM = '~';

/**
 * What a word in normal form may be a form of: itself, and the stems that its endings leave, each marked. Two words are forms of one where
 * they share a stem: "Radreise" and "Radreisen" leave "radreis~".
 *
 * An elided article or preposition is no part of the word: "l'assurance" is "assurance".
 */
export function stemsOfForm(normal: string, rules: LanguageRules): string[] {
  if (rules.own.has(normal)) return [normal];
  const gender = rules.gendered ? genderedStem(normal, rules.gendered, rules.code === 'it') : null;
  if (gender !== null) return [normal, gender];
  const base = rules.irregular.get(normal);
  // Italian words end in a vowel: what ends in a consonant was taken over and has no other forms ("test" is none of "testo").
  const isTakenOver = rules.code === 'it' && /[^aeiou]$/.test(normal);
  const found = new Set(isTakenOver ? [normal] : [normal, normal + STEM]);
  addStems(found, normal, rules);
  if (base !== undefined) {
    found.add(base + STEM);
    addStems(found, base, rules);
  }
  return [...found];
}

/** The stem of a noun that is another word in the other gender, with its gender; null for other words. */
function genderedStem(word: string, stems: ReadonlySet<string>, isItalian: boolean): string | null {
  const singular = isItalian ? word : word.replace(/s$/, '');
  if (stems.has(singular)) return `${singular}${isItalian ? 'o' : ''}${STEM}`;
  const stem = singular.slice(0, -1);
  if (!stems.has(stem)) return null;
  const vowel = singular.at(-1)!;
  if (isItalian) return `${stem}${'ae'.includes(vowel) ? 'a' : 'o'}${STEM}`;
  return 'ao'.includes(vowel) ? `${stem}${vowel}${STEM}` : null;
}

function addStems(found: Set<string>, word: string, rules: LanguageRules): void {
  const { endings, leastStem, alternates } = rules;
  const add = (stem: string) => {
    if (stem.length >= leastStem) found.add(stem + STEM);
  };
  for (const ending of endings) {
    if (!word.endsWith(ending)) continue;
    const stem = word.slice(0, -ending.length);
    add(stem);
    for (const other of alternates?.(stem, ending) ?? []) add(other);
  }
}

/** Whether two words are forms of one, by what {@link stemsOfForm} gives of each. */
export const sharesStem = (a: readonly string[], b: readonly string[]): boolean =>
  a.some((stem) => stem.endsWith(STEM) && b.includes(stem));
