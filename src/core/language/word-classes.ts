import { baseForm } from './inflections.ts';
import { normalForm } from './normal.ts';
import { isMostlyVerb } from './word-frequency.ts';

const words = (list: string) => new Set(list.split(' '));

/** Prepositions by which a compound is taken apart: "tyres for winter" is "winter tyres". */
const JOINING = words('of for with in on to at by from near around about against');
/** Those of them after which an article may stand: "the cost of a loft conversion". */
const OPEN = words('of for to against');
const DETERMINERS = words(
  'a an the your my our his her its their this that these those some any each every another',
);
const NEGATIONS = words('not no never without nor neither nobody nothing none cannot hardly barely');
const CONJUNCTIONS = words('and or but so because while if than as when where which who that whether until');
const AUXILIARIES = words(
  'is are was were be been being am do does did has have had having will would can could shall should may might must ' +
    'gets got get goes went go needs comes came makes made takes took says said',
);
const PLACING = words(
  'beside besides behind beneath below among amid along across past toward towards despite beyond except',
);
const PRONOUNS = words('i you he she it we they me him us them who');

/** Prepositions that turn a compound round. Takes the folded form, as all of these do. */
export const isJoining = (form: string): boolean => JOINING.has(form);
/** Those of them after which an article may stand. */
export const mayTakeArticle = (form: string): boolean => OPEN.has(form);
export const isDeterminer = (form: string): boolean => DETERMINERS.has(form);
/** Words that turn a phrase into its opposite: "not", "without", "isn't". */
export const isNegation = (form: string): boolean => NEGATIONS.has(form) || /n't$/.test(form);
/** Prepositions that begin a new part of a sentence: no searcher leaves them out. */
export const isPlacing = (form: string): boolean => PLACING.has(form);
export const isConjunction = (form: string): boolean => CONJUNCTIONS.has(form);
/** Words that make a verb of what follows, or are one: "is", "can", "needs". */
export const isAuxiliary = (form: string): boolean => AUXILIARIES.has(form);
export const isPronoun = (form: string): boolean => PRONOUNS.has(form);

/**
 * Whether a word between two others is likely the verb of a sentence: an auxiliary, or the -s form or the irregular past
 * of a word that is used as a verb far more often than as a noun. Base forms, participles and -ing forms may stand before
 * a noun as adjectives do ("budget travel insurance").
 */
export function isLikelyVerb(form: string): boolean {
  if (AUXILIARIES.has(form)) return true;
  if (/(?:ing|ed|en)$/.test(form)) return false;
  const base = baseForm(normalForm(form));
  return base !== form && isMostlyVerb(base);
}
