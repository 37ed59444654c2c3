import { isFunctionWord, isMostlyVerb, partOfSpeech, wordCount } from '../language/index.ts';
import { isExpositoryWord } from '../meaning/index.ts';
import { NAMELESS } from './nameless.ts';

/** Paths, addresses, names of code and numbers name no part of a subject. */
const OF_CODE = /[/._@©#\\:]|\d/;
/** What a phrase with a head of explanation is worth: "configuration file" names something, "git options" hardly. */
const EXPOSITORY_HEAD = 0.35;
const EXPOSITORY_FIRST = 0.6;
const VERB_FIRST = 0.4;

/** Words that name something beside others and nothing by themselves. */
const NOT_ALONE = new Set('include exclude case equivalent location local system related'.split(' '));

/** Words of a term in a language of which parts of speech are not known. */
const MOST_WORDS = 3;

const NONE: ReadonlySet<string> = new Set();

/** A compound of known words ("fast-forward"), not the name of a package ("mdast-util"). */
const isKnownCompound = (word: string): boolean =>
  word.split('-').every((part) => part.length < 4 || wordCount(part) > 2 || partOfSpeech(part) !== undefined);

/** Adverbs and words of explanation name nothing; the query's own words always do. */
function singleValue(word: string, isOfQuery: (word: string) => boolean): number {
  if (isOfQuery(word)) return 1;
  if (isExpositoryWord(word) || NOT_ALONE.has(word) || partOfSpeech(word) === 'r') return 0;
  return 1;
}

/** Small words that join two that name something: "sacoche de vélo". */
const JOINING = new Set('de du del della di do da dos das'.split(' '));

/** In languages of which parts of speech are not known a term has no small word but one that joins its first and last. */
const foreignValue = (words: readonly string[], small: ReadonlySet<string>): number =>
  words.some((word, at) =>
    JOINING.has(word) ? at !== 1 || words.length !== 3 : small.has(word) || OF_CODE.test(word),
  )
    ? 0
    : 1;

/**
 * How far a term may name a part of a subject, 0-1, by the parts of speech of its words (base forms): nouns with what
 * stands before them, also with "of" between them; 0 for what names nothing. In another language than English they are told
 * by its `small` words alone: a term has none, or one that joins its first and last.
 */
export function nameableValue(
  key: string,
  isOfQuery: (word: string) => boolean,
  small: ReadonlySet<string> = NONE,
): number {
  const words = key.split(' ');
  if (small.size > 0) return words.length > MOST_WORDS ? 0 : foreignValue(words, small);
  if (words.some((word) => NAMELESS.has(word) || OF_CODE.test(word) || /['’]/.test(word))) return 0;
  if (words.some((word) => word.includes('-') && !isKnownCompound(word))) return 0;
  if (words.length === 1) return singleValue(words[0], isOfQuery);
  const last = words[words.length - 1];
  const first = words[0];
  for (let at = 1; at < words.length - 1; at++) {
    const word = words[at];
    if (word === 'of') continue;
    if ((word === 'the' || word === 'a') && words[at - 1] === 'of') continue;
    if (isFunctionWord(word) || partOfSpeech(word) === 'r' || (isMostlyVerb(word) && !isOfQuery(word)))
      return 0;
  }
  if (partOfSpeech(last) === 'r' || partOfSpeech(first) === 'r') return 0;
  const joined = words.includes('of');
  if (isMostlyVerb(last) && !isOfQuery(last) && (joined || isMostlyVerb(first))) return 0;
  if (words.every((word) => isFunctionWord(word) || (isExpositoryWord(word) && !isOfQuery(word)))) return 0;
  if (isExpositoryWord(first) && !isOfQuery(first) && (joined || /[vmn]/.test(partOfSpeech(first) ?? 'o')))
    return 0;
  return (
    (isExpositoryWord(last) && !isOfQuery(last) ? EXPOSITORY_HEAD : 1) *
    (isExpositoryWord(first) && !isOfQuery(first) ? EXPOSITORY_FIRST : 1) *
    (isMostlyVerb(first) && !isOfQuery(first) ? VERB_FIRST : 1)
  );
}

/** Whether a term as it is written names something: no path or sign of code in it, no "branch named". */
export function isNamingForm(form: string, key: string): boolean {
  if (/['’](?:t|re|ve|ll|d|m)\b/.test(form)) return false;
  if (OF_CODE.test(form) || /[^\p{L}\p{M}'’\s-]/u.test(form)) return false;
  if (form.split(' ').some((word) => word.includes('-') && !isKnownCompound(word))) return false;
  const last = form.slice(form.lastIndexOf(' ') + 1);
  const base = key.slice(key.lastIndexOf(' ') + 1);
  return !(form.includes(' ') && last !== base && last.endsWith('ed'));
}
