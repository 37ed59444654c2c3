import type { LanguageRemark } from './language-remark.ts';

const TWICE = /(?<![\p{L}\p{N}\p{M}\uE000'’-])([\p{L}\p{M}]{2,})(\s+)\1(?![\p{L}\p{N}\p{M}\uE000'’-])/giu;

/** Words that stand twice in good English. */
const MAY: ReadonlySet<string> = new Set(
  'had that no so very her bye blah ha yes ho now there hear tut chop knock pooh da di la many long really far far-off'.split(
    ' ',
  ),
);

/** A word that stands twice in a row, also over the end of a line. Names, and what may stand twice are left out. */
export function repeatedWords(masked: string): LanguageRemark[] {
  const remarks: LanguageRemark[] = [];
  for (const hit of masked.matchAll(TWICE)) {
    const [quote, word, between] = hit;
    const second = quote.slice(word.length + between.length);
    // "Duran Duran"; "see the section Section 2": a name, or a label, behind its word.
    if (MAY.has(word.toLowerCase()) || /^\p{Lu}/u.test(second)) continue;
    remarks.push({
      kind: 'repeated',
      start: hit.index,
      end: hit.index + quote.length,
      quote,
      says: `“${word}” stands twice.`,
      instead: [word],
    });
  }
  return remarks;
}
