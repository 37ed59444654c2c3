import { countedParts, countedWords, countSteps, mostlyVerbs } from './generated/word-frequencies.ts';

/** Words of the corpus behind the counts. */
export const CORPUS_WORDS = 51_000_000;

let verbs: Set<string> | null = null;
let places: Map<string, number> | null = null;

/** Where a word stands among the counted ones; undefined for one that does not. Decoded at the first question. */
function placeOf(word: string): number | undefined {
  if (!places) {
    places = new Map();
    let before = '';
    let at = 0;
    for (const coded of countedWords.split(' ')) {
      before = before.slice(0, Number.parseInt(coded[0], 36)) + coded.slice(1);
      places.set(before, at);
      at += 1;
    }
  }
  return places.get(word);
}

/**
 * The part of speech that a word (lower case, as it stands) mostly is: `n` noun, `v` verb, `m` either of the two, `a`
 * adjective, `r` adverb, `o` a form of another word or a name; undefined for words that are not among the 20,000 commonest.
 */
export function partOfSpeech(word: string): string | undefined {
  const at = placeOf(word);
  return at === undefined ? undefined : countedParts[at];
}

/** How often a word (lower case) is met in the corpus, to a factor of about 1.4; 2 for words that are not among its 20,000 commonest. */
export function wordCount(word: string): number {
  const at = placeOf(word);
  // The middle of the step.
  return at === undefined ? 2 : 1.4 * 2 ** Number.parseInt(countSteps[at], 36);
}

/** Whether a word (base form) is used as a verb far more often than as a noun; such words seldom name a subject. */
export function isMostlyVerb(word: string): boolean {
  verbs ??= new Set(mostlyVerbs.split(' '));
  return verbs.has(word);
}

/** All words that are counted. */
export function countedForms(): Iterable<string> {
  placeOf('');
  return places!.keys();
}
