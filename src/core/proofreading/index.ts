/**
 * Proofreading: the language of a draft looked through, paragraph by paragraph.
 *
 * `language-check` puts the rules together: `spelling` by a `speller` (a dictionary, `trade-words`, the house's own),
 * `repeated-words`, `articles`, `house-words`, `openings` and `passive`, each over `masked-text` without code and
 * addresses.
 */
export { beginsWithVowel } from './articles.ts';
export type { HouseWord } from './house-words.ts';
export { LanguageCheck, type LanguageRules, noLanguageRules, type PlacedRemark } from './language-check.ts';
export { type LanguageRemark, REMARK_KINDS, type RemarkKind } from './language-remark.ts';
export { type DictionaryFiles, type English, englishOf, Speller } from './speller.ts';
export { wordsNear } from './words-near.ts';
