import type { DraftFacts } from './draft-facts.ts';
import type { StudyTerm } from './surroundings.ts';

/** How often a term stands in a draft, and how often it should. */
export interface TermUseInDraft {
  term: StudyTerm;
  /** Index among the study's terms. */
  index: number;
  uses: number;
  /** Uses that a draft of its length would have: the quartiles, once at least. */
  from: number;
  to: number;
  /** 1 within its band and up to twice its upper end; less below and beyond. */
  share: number;
}

/**
 * The band of a term's uses for a text of so many words: the quartiles per 1,000 words scaled to the length, in whole
 * uses, once at least.
 */
export function termBand(
  term: Pick<StudyTerm, 'lower' | 'upper'>,
  words: number,
): { from: number; to: number } {
  const from = Math.max(1, Math.floor((term.lower * words) / 1000));
  return { from, to: Math.max(from, Math.ceil((term.upper * words) / 1000)) };
}

const known = new WeakMap<DraftFacts, TermUseInDraft[]>();

/** Uses of every term of the study in a draft; empty without a study. Two criteria and the margin ask: counted once. */
export function termUses(facts: DraftFacts): TermUseInDraft[] {
  let found = known.get(facts);
  if (!found) {
    found = countedUses(facts);
    known.set(facts, found);
  }
  return found;
}

function countedUses({ settings, totals, words }: DraftFacts): TermUseInDraft[] {
  return (settings.study?.terms ?? []).map((term, index) => {
    const uses = totals.termUses[index];
    const { from, to } = termBand(term, words);
    const share =
      uses < from ? uses / from : uses <= 2 * to ? 1 : Math.max(0, 1 - (uses - 2 * to) / (2 * to));
    return { term, index, uses, from, to, share };
  });
}
