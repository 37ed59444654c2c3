import { isEnglish } from './detect.ts';
import { type Direction, directionOf as englishDirection } from './direction.ts';
import { areVariants, keepsHead } from './inflections.ts';
import { withoutElision } from './languages/elision.ts';
import { type LanguageRules, languageRules } from './languages/index.ts';
import { sharesStem, stemsOfForm } from './languages/inflected.ts';
import { normalForm } from './normal.ts';
import { isFunctionWord } from './stop-words.ts';
import type { Vocabulary } from './vocabulary.ts';
import { isDeterminer } from './word-classes.ts';

/** How the words of a language are compared where a phrase is looked for. */
export interface Matching {
  /** `en`, a language of which rules are known, or empty: then words are told by case alone. */
  code: string;
  /** Words that the phrase may have between its own, and that it need not have. */
  isFunction: (form: string) => boolean;
  isArticle: (form: string) => boolean;
  isNegation: (form: string) => boolean;
  directionOf: (form: string) => Direction;
  /** The form by which a word is compared. */
  normal: (vocabulary: Vocabulary, id: number) => string;
  /** What it may be a form of. */
  candidates: (vocabulary: Vocabulary, id: number) => string[];
  /** Whether all that a word in normal form may be a form of begins with its first two letters; false where that is not known. */
  keepsHead: (normal: string) => boolean;
  areVariants: (a: string, aCandidates: string[], b: string, bCandidates: string[]) => boolean;
}

const ENGLISH: Matching = {
  code: 'en',
  isFunction: isFunctionWord,
  isArticle: isDeterminer,
  // English has its own, with the verbs beside them: `between`.
  isNegation: () => false,
  directionOf: englishDirection,
  normal: (vocabulary, id) => vocabulary.normal(id),
  candidates: (vocabulary, id) => vocabulary.candidates(id),
  keepsHead,
  areVariants,
};

const PLAIN: Matching = {
  code: '',
  isFunction: isFunctionWord,
  isArticle: () => false,
  isNegation: () => false,
  directionOf: () => 'none',
  normal: (vocabulary, id) => vocabulary.form(id),
  candidates: (vocabulary, id) => [vocabulary.form(id)],
  keepsHead: () => true,
  areVariants: (a, _aCandidates, b) => a === b,
};

function matchingBy(rules: LanguageRules): Matching {
  // A word's forms do not change: they are worked out once for each vocabulary.
  const known = new WeakMap<
    Vocabulary,
    { normals: (string | undefined)[]; candidates: (string[] | undefined)[] }
  >();
  const of = (vocabulary: Vocabulary) => {
    let own = known.get(vocabulary);
    if (!own) {
      own = { normals: [], candidates: [] };
      known.set(vocabulary, own);
    }
    // Lists without holes are read fastest.
    while (own.normals.length < vocabulary.size) {
      own.normals.push(undefined);
      own.candidates.push(undefined);
    }
    return own;
  };
  const normal = (vocabulary: Vocabulary, id: number): string => {
    const { normals } = of(vocabulary);
    const seen = normals[id];
    if (seen !== undefined) return seen;
    const fresh = normalForm(withoutElision(vocabulary.form(id), rules.code));
    normals[id] = fresh;
    return fresh;
  };
  return {
    code: rules.code,
    isFunction: (form) => rules.functionWords.has(form),
    isArticle: (form) => rules.articles.has(form),
    isNegation: (form) => rules.negations.has(form),
    directionOf: (form) => rules.pointing.get(form) ?? 'none',
    normal,
    candidates: (vocabulary, id) => {
      const { candidates } = of(vocabulary);
      const seen = candidates[id];
      if (seen !== undefined) return seen;
      const fresh = stemsOfForm(normal(vocabulary, id), rules);
      candidates[id] = fresh;
      return fresh;
    },
    keepsHead: () => false,
    areVariants: (a, aCandidates, b, bCandidates) => a === b || sharesStem(aCandidates, bCandidates),
  };
}

const byCode = new Map<string, Matching>();

/** How words are compared in the language of a tag. */
export function matchingOf(tag: string): Matching {
  if (isEnglish(tag)) return ENGLISH;
  const rules = languageRules(tag);
  if (!rules) return PLAIN;
  let matching = byCode.get(rules.code);
  if (!matching) {
    matching = matchingBy(rules);
    byCode.set(rules.code, matching);
  }
  return matching;
}
