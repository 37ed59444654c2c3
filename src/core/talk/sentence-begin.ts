import { kindFeatures, kindOf, kindRoom } from './boundary-features.ts';
import {
  boundaryBias,
  boundaryKinds,
  boundarySteps,
  boundaryWordsAfter,
  boundaryWordsBefore,
} from './generated/sentence-begins.ts';

interface Weights {
  before: Map<string, number>;
  after: Map<string, number>;
  kinds: Map<number, number>;
}

let weights: Weights | null = null;

function pairsOf<Key>(coded: string, keyOf: (text: string) => Key): Map<Key, number> {
  const parts = coded.split(' ');
  const out = new Map<Key, number>();
  for (let at = 0; at + 1 < parts.length; at += 2)
    out.set(keyOf(parts[at]), Number(parts[at + 1]) / boundarySteps);
  return out;
}

/** The table, decoded at the first question. */
function table(): Weights {
  weights ??= {
    before: pairsOf(boundaryWordsBefore, String),
    after: pairsOf(boundaryWordsAfter, String),
    kinds: pairsOf(boundaryKinds, (text) => Number.parseInt(text, 36)),
  };
  return weights;
}

const room = kindRoom();

/**
 * How much the words around a place speak for a sentence's beginning there, as a logit: above 0 for, below against. Learned from
 * written prose (logistic regression over the two words and the kinds of the two on either side).
 *
 * @param forms folded words in order
 * @param at index of the word that may begin a sentence, 1 or more
 */
export function sentenceBegin(forms: readonly string[], at: number): number {
  const { before, after, kinds } = table();
  let sum = boundaryBias + (before.get(forms[at - 1]) ?? 0) + (after.get(forms[at]) ?? 0);
  kindFeatures(kindOf(forms[at - 2]), kindOf(forms[at - 1]), kindOf(forms[at]), kindOf(forms[at + 1]), room);
  for (const feature of room) sum += kinds.get(feature) ?? 0;
  return sum;
}
