import { isEnglish, languageRules } from '../../language/index.ts';
import { dutch } from './dutch.ts';
import { english } from './english.ts';
import { french } from './french.ts';
import { german } from './german.ts';
import { italian } from './italian.ts';
import { portuguese } from './portuguese.ts';
import { spanish } from './spanish.ts';
import { swedish } from './swedish.ts';
import type { Wording } from './wording.ts';

export type {
  AgeingWords,
  AnswerForm,
  AnswerWords,
  ClaimWords,
  StockWords,
  StyleWords,
  Wording,
} from './wording.ts';

const BY_CODE = new Map<string, Wording>([
  ['de', german],
  ['es', spanish],
  ['fr', french],
  ['it', italian],
  ['nl', dutch],
  ['pt', portuguese],
  ['sv', swedish],
]);

/** How the language of a BCP 47 tag says what the criteria look for; null where that is not known. */
export function wordingOf(tag: string): Wording | null {
  if (isEnglish(tag)) return english;
  const rules = languageRules(tag);
  return rules ? (BY_CODE.get(rules.code) ?? null) : null;
}
