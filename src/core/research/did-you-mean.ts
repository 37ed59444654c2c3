import { plainWords } from '../language/index.ts';
import { phraseKey } from './keyword.ts';
import { researchStem } from './phrase-stems.ts';

/** Letters that may differ: one in a short word, two in a longer one, none in the shortest. */
const mayDiffer = (length: number) => (length < 4 ? 0 : length < 7 ? 1 : 2);
/** Words of fewer letters are meant as they stand, unless letters are swapped, missing or doubled. */
const SURE_FROM = 5;
const lettersOf = (word: string) => [...word].sort().join('');
/** Phrases in which a word stands to be taken for rightly spelled. */
const KNOWN_FROM = 1;

/**
 * Letters to add, take away, change or swap to make one word of another (optimal string alignment); anything beyond `most`
 * counts as one more than it.
 */
export function editDistance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let before: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, at) => at);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      const swapped =
        i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]
          ? before[j - 2] + 1
          : Number.POSITIVE_INFINITY;
      next[j] = Math.min(
        last[j] + 1,
        next[j - 1] + 1,
        last[j - 1] + (a[i - 1] === b[j - 1] ? 0 : 1),
        swapped,
      );
      least = Math.min(least, next[j]);
    }
    if (least > most) return most + 1;
    before = last;
    last = next;
  }
  return last[b.length];
}

/**
 * What somebody meant who typed a seed of which words are unknown to every phrase: the seed with each of them replaced by
 * the nearest word that phrases use, the one used most of several. Null: every word is known, or none is near.
 *
 * @example
 * didYouMean('waterprof paniers', ['waterproof panniers', 'cheap panniers']) // 'waterproof panniers'
 */
export function didYouMean(seed: string, phrases: Iterable<string>): string | null {
  const words = plainWords(phraseKey(seed));
  if (words.length === 0) return null;
  const uses = new Map<string, number>();
  for (const phrase of phrases)
    for (const word of plainWords(phrase.toLowerCase())) uses.set(word, (uses.get(word) ?? 0) + 1);
  const stems = new Set([...uses.keys()].map(researchStem));
  let changed = false;
  const meant = words.map((word) => {
    if ((uses.get(word) ?? 0) >= KNOWN_FROM || stems.has(researchStem(word)) || /\d/.test(word)) return word;
    const most = mayDiffer(word.length);
    let best = '';
    let nearest = most + 1;
    for (const [other, count] of uses) {
      if (other.length < 3) continue;
      // Of two short words that differ by a letter both are words: "wine", "line".
      if (word.length < SURE_FROM && other.length === word.length && lettersOf(word) !== lettersOf(other))
        continue;
      const distance = editDistance(word, other, most);
      if (distance > most || distance > nearest) continue;
      const [first, known] = [other[0] === word[0], best[0] === word[0]];
      if (distance < nearest || (first === known ? count > (uses.get(best) ?? 0) : first)) {
        best = other;
        nearest = distance;
      }
    }
    if (!best || nearest > most) return word;
    changed = true;
    return best;
  });
  return changed ? meant.join(' ') : null;
}
