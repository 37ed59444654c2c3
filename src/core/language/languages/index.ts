/**
 * Languages beside English: what each needs so that keywords are found, texts measured and criteria apply.
 *
 * `language-rules` says what that is; one file holds each language; `inflected` tells whether two words are forms of one.
 */
import { dutch } from './dutch.ts';
import { french } from './french.ts';
import { german } from './german.ts';
import { italian } from './italian.ts';
import type { LanguageRules } from './language-rules.ts';
import { portuguese } from './portuguese.ts';
import { spanish } from './spanish.ts';
import { swedish } from './swedish.ts';

export type { EaseFormula, LanguageRules } from './language-rules.ts';

const RULES: ReadonlyMap<string, LanguageRules> = new Map(
  [german, french, spanish, italian, dutch, portuguese, swedish].map((rules) => [rules.code, rules]),
);

/** The rules of a language by its tag (`de`, `de-AT`, `pt_BR`); null for English, which has its own, and for those of which none are known. */
export const languageRules = (tag: string): LanguageRules | null =>
  RULES.get(tag.trim().toLowerCase().split(/[-_]/)[0]) ?? null;
