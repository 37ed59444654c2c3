import { normalForm } from './normal.ts';
import { stem } from './stems.ts';
import { isFunctionWord } from './stop-words.ts';
import { plainWords } from './tokens.ts';

/** Texts by their words, so that they can be compared. */
export interface WordVector {
  /** Weight of each stem, above 0. */
  weights: ReadonlyMap<string, number>;
  /** Euclidean length; 0: nothing in the text tells it from the others. */
  length: number;
}

/** Adds the stems of a text's telling words to a count, each with a weight: no words of grammar, no numbers, no single letters. */
export function addStems(counts: Map<string, number>, text: string, weight = 1): void {
  for (const word of plainWords(text)) {
    if (isFunctionWord(word) || !/\p{L}{2}/u.test(word)) continue;
    const key = stem(normalForm(word));
    counts.set(key, (counts.get(key) ?? 0) + weight);
  }
}

/**
 * Texts as vectors over their stems: the logarithm of each count times the logarithm of how seldom the stem is among these texts
 * (tf-idf; G. Salton and C. Buckley, "Term-weighting approaches in automatic text retrieval", 1988).
 */
export function wordVectors(counts: readonly ReadonlyMap<string, number>[]): WordVector[] {
  const texts = new Map<string, number>();
  for (const words of counts) for (const word of words.keys()) texts.set(word, (texts.get(word) ?? 0) + 1);
  return counts.map((words) => {
    const weights = new Map<string, number>();
    let square = 0;
    for (const [word, count] of words) {
      const weight = (1 + Math.log(count)) * Math.log(counts.length / texts.get(word)!);
      if (weight <= 0) continue;
      weights.set(word, weight);
      square += weight * weight;
    }
    return { weights, length: Math.sqrt(square) };
  });
}

/** Several vectors as one, each counted alike whatever its length. */
export function sumOfVectors(vectors: readonly WordVector[]): WordVector {
  const weights = new Map<string, number>();
  for (const { weights: own, length } of vectors)
    if (length > 0)
      for (const [word, weight] of own) weights.set(word, (weights.get(word) ?? 0) + weight / length);
  let square = 0;
  for (const weight of weights.values()) square += weight * weight;
  return { weights, length: Math.sqrt(square) };
}

/** The cosine of two vectors, 0-1; 0 where one of them says nothing. */
export function likeness(a: WordVector, b: WordVector): number {
  if (a.length === 0 || b.length === 0) return 0;
  const [few, many] = a.weights.size <= b.weights.size ? [a, b] : [b, a];
  let product = 0;
  for (const [word, weight] of few.weights) product += weight * (many.weights.get(word) ?? 0);
  return product / (a.length * b.length);
}

/** The stems by which two vectors are most alike, the one that counts most first. */
export function sharedStems(a: WordVector, b: WordVector, most: number): string[] {
  const [few, many] = a.weights.size <= b.weights.size ? [a, b] : [b, a];
  const shared: { word: string; by: number }[] = [];
  for (const [word, weight] of few.weights) {
    const other = many.weights.get(word);
    if (other !== undefined) shared.push({ word, by: weight * other });
  }
  return shared
    .sort((x, y) => y.by - x.by || (x.word < y.word ? -1 : 1))
    .slice(0, most)
    .map(({ word }) => word);
}
