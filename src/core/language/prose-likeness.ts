import { proseTable } from './prose-tables.ts';
import { BOUNDARY } from './syntax-classes.ts';
import type { Tokens } from './tokens.ts';
import type { Vocabulary } from './vocabulary.ts';

/** How far a text's sentences are sentences, sum and number of steps from word to word, to be added up over texts. */
export interface ProseLikeness {
  /** Sum of the logarithms (natural) of how much oftener each word's kind follows the one before than by chance. */
  sum: number;
  steps: number;
  /** For each sentence the mean of its own. */
  sentences: Float32Array;
}

/**
 * Reads how likely the kinds of words follow each other as in sentences of a language, by the pointwise mutual information of
 * neighbouring word classes (Church and Hanks, "Word association norms, mutual information, and lexicography",
 * Computational Linguistics 16, 1990). The mean, `sum / steps`, is about 0.2 to 0.8 for prose and -0.5 to -1.1 for the same
 * words shuffled; lists of keywords lie at about -0.5. Null for languages in which that was not counted.
 */
export function proseLikeness(
  tokens: Tokens,
  vocabulary: Vocabulary,
  language: string,
): ProseLikeness | null {
  const table = proseTable(language);
  if (!table) return null;
  const { follows, classes } = table;
  const { length, ids, sentences: at } = tokens;
  const sentences = new Float32Array(tokens.sentenceCount);
  let sum = 0;
  let steps = 0;
  let before = BOUNDARY;
  let own = 0;
  let ownSteps = 0;
  for (let token = 0; token < length; token++) {
    const kind = table.kindOf(vocabulary, ids[token]);
    own += follows[before * classes + kind];
    ownSteps += 1;
    before = kind;
    if (token + 1 < length && at[token + 1] === at[token]) continue;
    own += follows[before * classes + BOUNDARY];
    ownSteps += 1;
    sentences[at[token]] = own / ownSteps;
    sum += own;
    steps += ownSteps;
    before = BOUNDARY;
    own = 0;
    ownSteps = 0;
  }
  return { sum, steps, sentences };
}
