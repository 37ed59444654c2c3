import { eng } from 'stopword';

/** Words that carry grammar rather than meaning; the phrase matcher passes over them. */
const FUNCTION_WORDS = new Set(
  (
    'a an the and or but nor so of in on at by for from to into onto with within about over under between through during ' +
    'before after as than that this these those is are was were be been being am do does did has have had having will would ' +
    'can could shall should may might must it its i you he she we they me him her us them my your his our their mine yours ' +
    'who whom whose which what when where why how if then there here up down out off while because until upon via per'
  ).split(' '),
);

/** Small words that change the meaning: content for the matcher. */
const CONTENT_ANYWAY = new Set(['without', 'no', 'not', 'vs', 'versus', 'against']);

const STOP_WORDS = new Set([...eng.filter((word) => !CONTENT_ANYWAY.has(word)), ...FUNCTION_WORDS]);

/** True for words that the matcher may pass over between the words of a phrase. Takes the folded form. */
export const isFunctionWord = (word: string): boolean => FUNCTION_WORDS.has(word);

/** True for English stop words. Takes the folded form. */
export const isStopWord = (word: string): boolean => STOP_WORDS.has(word);
