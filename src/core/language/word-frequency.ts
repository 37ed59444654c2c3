import { countedWords, countSteps, mostlyVerbs } from './generated/word-frequencies.ts';

/** Words of the corpus behind the counts. */
export const CORPUS_WORDS = 51_000_000;

let verbs: Set<string> | null = null;
let counts: Map<string, number> | null = null;

/** How often a word (lower case) is met in the corpus, to a factor of about 1.4; 2 for words that are not among its 20,000 commonest. */
export function wordCount(word: string): number {
  if (!counts) {
    counts = new Map();
    let before = '';
    for (const [at, coded] of countedWords.split(' ').entries()) {
      before = before.slice(0, Number.parseInt(coded[0], 36)) + coded.slice(1);
      // The middle of the step.
      counts.set(before, 1.4 * 2 ** Number.parseInt(countSteps[at], 36));
    }
  }
  return counts.get(word) ?? 2;
}

/** Whether a word (base form) is used as a verb far more often than as a noun; such words seldom name a subject. */
export function isMostlyVerb(word: string): boolean {
  verbs ??= new Set(mostlyVerbs.split(' '));
  return verbs.has(word);
}
