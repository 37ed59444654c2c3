import { type LanguageRules, languageRules } from './languages/index.ts';

/** The class before a sentence's first word and after its last. */
const BOUNDARY = 0;
/** Letters of a word whose ending tells something. */
const TELLING = 4;
/** Letters of an ending. */
const ENDING = 2;
/** Classes beside those of single words and endings: the boundary, other words of grammar, numbers, short words, and the rest. */
const OTHERS = 5;

/** By what the words of a language beside English are told apart where they follow each other. */
export interface ProseClasses {
  classes: number;
  /** The class of a folded word: 1 to `classes` - 1. */
  classOf(form: string): number;
}

/** Whether a folded word is one of grammar. */
export const isGrammar = (form: string, { functionWords, negations, articles }: LanguageRules): boolean =>
  functionWords.has(form) || negations.has(form) || articles.has(form);

/** The ending that tells the kind of a word; empty for words that are too short, and for numbers. */
export const tellingEnding = (form: string): string =>
  form.length < TELLING || /^\d/.test(form) ? '' : form.slice(-ENDING);

/** Classes of a language: its commonest words of grammar each their own, other words by their endings. */
export function proseClasses(
  code: string,
  grammar: readonly string[],
  endings: readonly string[],
): ProseClasses {
  const rules = languageRules(code)!;
  const words = new Map(grammar.map((word, at) => [word, BOUNDARY + 1 + at]));
  const byEnding = new Map(endings.map((ending, at) => [ending, BOUNDARY + 1 + grammar.length + at]));
  const first = BOUNDARY + 1 + grammar.length + endings.length;
  return {
    classes: grammar.length + endings.length + OTHERS,
    classOf(form) {
      const own = words.get(form);
      if (own !== undefined) return own;
      if (isGrammar(form, rules)) return first;
      if (/^\d/.test(form)) return first + 1;
      const ending = tellingEnding(form);
      return ending === '' ? first + 2 : (byEnding.get(ending) ?? first + 3);
    },
  };
}
