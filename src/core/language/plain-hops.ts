import { type Occurrence, type Sentence, WIDEST_GAP } from './between.ts';
import type { Matching } from './matching.ts';
import type { Phrase } from './phrase.ts';
import { Gap } from './tokens.ts';
import { maskOf } from './turned.ts';

/** What stands between two words: how many words of grammar, how many others; null where they are no parts of one phrase. */
function between(
  { tokens, vocabulary }: Sentence,
  matching: Matching,
  left: Occurrence,
  right: Occurrence,
): { small: number; others: number } | null {
  let [small, others] = [0, 0];
  for (let at = left.last + 1; at <= right.first; at++) {
    if (tokens.gaps[at] === Gap.Clause) return null;
    if (at === right.first) break;
    const form = vocabulary.form(tokens.ids[at]);
    if (matching.isNegation(form)) return null;
    if (matching.isFunction(form)) small += 1;
    else others += 1;
  }
  return { small, others };
}

/**
 * Whether `right` may follow `left` as the next word of a phrase in a language of which little but its words is known: `near` with
 * nothing or words of grammar between them, `split` with one other word; null with more, a negation, or a mark.
 */
export function plainHop(
  sentence: Sentence,
  matching: Matching,
  left: Occurrence,
  right: Occurrence,
): 'near' | 'split' | null {
  const found = between(sentence, matching, left, right);
  if (!found || found.others > 1 || found.small + found.others > WIDEST_GAP) return null;
  return found.others === 0 ? 'near' : 'split';
}

/**
 * A phrase with its words in another order, from the occurrence at `place` on, with at most two words of grammar between two of them. Null
 * where its own small words point somewhere, or the words only happen to stand near each other.
 */
export function plainlyTurned(
  phrase: Phrase,
  sentence: Sentence,
  matching: Matching,
  all: readonly Occurrence[],
  place: number,
): { first: number; last: number } | null {
  if (phrase.directions.some((direction) => direction !== 'none')) return null;
  const full = 2 ** phrase.slots.length - 1;
  const start = all[place];
  let last = start;
  let mask = maskOf(start);
  for (let at = place + 1; mask !== full; at++) {
    const next = all[at];
    if (!next) return null;
    if (next.first <= last.last || mask & maskOf(next)) continue;
    const found = between(sentence, matching, last, next);
    if (!found || found.others > 0 || found.small > WIDEST_GAP) return null;
    mask |= maskOf(next);
    last = next;
  }
  return { first: start.first, last: last.last };
}
