import { newStemmer } from 'snowball-stemmers';
import { isStopWordOf } from './foreign-stop-words.ts';
import { withoutElision } from './languages/elision.ts';
import { languageRules } from './languages/index.ts';

/** What stems and stop words are in a language beside English. */
export interface ForeignStems {
  /** Whether a folded word carries grammar alone. */
  isStop(form: string): boolean;
  /** The stem of a folded word that is none: never a word of grammar. */
  stem(form: string): string;
}

/** Endings of a plural or an article that the algorithm leaves: "vélos", "väskan". */
const LEFT: Readonly<Record<string, RegExp>> = { fr: /(?<=\p{L}{3}[aiouéè])s$/u, sv: /(?<=\p{L}{4})an$/u };

const known = new Map<string, ForeignStems | null>();

/**
 * Stems of a language of which rules are known, by the Snowball algorithm of that language (M. F. Porter and R. Boulton, "Snowball",
 * 2001-2013); null for English, which has its own, and for others.
 */
export function foreignStems(tag: string): ForeignStems | null {
  const rules = languageRules(tag);
  if (!rules) return null;
  let stems = known.get(rules.code);
  if (stems === undefined) {
    stems = stemsBy(rules.code, rules.name.toLowerCase());
    known.set(rules.code, stems);
  }
  return stems;
}

function stemsBy(code: string, algorithm: string): ForeignStems {
  const stemmer = newStemmer(algorithm);
  const left = Object.hasOwn(LEFT, code) ? LEFT[code] : null;
  const isStop = (form: string) => isStopWordOf(form, code);
  return {
    isStop,
    stem(form) {
      const own = withoutElision(form, code);
      const stem = stemmer.stem(left ? own.replace(left, '') : own);
      // "Seiten" leaves "seit", which is another word: a mark keeps them apart.
      return stem === '' || isStop(stem) ? `${stem || own}~` : stem;
    },
  };
}
