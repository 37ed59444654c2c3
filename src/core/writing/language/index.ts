export { beginsWithVowel } from './articles.ts';
export type { HouseWord } from './house-words.ts';
export { LanguageCheck, type LanguageRules, noLanguageRules, type PlacedRemark } from './language-check.ts';
export { type LanguageRemark, REMARK_KINDS, type RemarkKind } from './language-remark.ts';
export { type DictionaryFiles, type English, englishOf, Speller } from './speller.ts';
