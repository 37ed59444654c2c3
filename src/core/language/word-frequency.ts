import { countedParts, countedWords, countSteps, mostlyVerbs } from './generated/word-frequencies.ts';

/** Words of the corpus behind the counts. */
export const CORPUS_WORDS = 51_000_000;

let verbs: Set<string> | null = null;
let counts: Map<string, number> | null = null;
let parts: Map<string, string> | null = null;

/** The counted words in order, decoded. */
function* counted(): Generator<[at: number, word: string]> {
  let before = '';
  for (const [at, coded] of countedWords.split(' ').entries()) {
    before = before.slice(0, Number.parseInt(coded[0], 36)) + coded.slice(1);
    yield [at, before];
  }
}

/**
 * The part of speech that a word (lower case, as it stands) mostly is: `n` noun, `v` verb, `m` either of the two, `a`
 * adjective, `r` adverb, `o` a form of another word or a name; undefined for words that are not among the 20,000 commonest.
 */
export function partOfSpeech(word: string): string | undefined {
  parts ??= new Map([...counted()].map(([at, each]) => [each, countedParts[at]]));
  return parts.get(word);
}

/** How often a word (lower case) is met in the corpus, to a factor of about 1.4; 2 for words that are not among its 20,000 commonest. */
export function wordCount(word: string): number {
  if (!counts) {
    counts = new Map();
    // The middle of the step.
    for (const [at, word] of counted()) counts.set(word, 1.4 * 2 ** Number.parseInt(countSteps[at], 36));
  }
  return counts.get(word) ?? 2;
}

/** Whether a word (base form) is used as a verb far more often than as a noun; such words seldom name a subject. */
export function isMostlyVerb(word: string): boolean {
  verbs ??= new Set(mostlyVerbs.split(' '));
  return verbs.has(word);
}
