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

/** Uses in 1,000 words beyond which a reader notices little else: one in every four lines or so. */
const READERS_STAND = 15;

/**
 * The band of a term's uses for a text of so many words: the quartiles per 1,000 words scaled to the length, in whole
 * uses, once at least, and never more than readers stand, whatever the pages do.
 */
export function termBand(
  term: Pick<StudyTerm, 'lower' | 'upper'>,
  words: number,
): { from: number; to: number } {
  const from = Math.max(1, Math.floor(usesAt(term.lower, words)));
  return { from, to: Math.max(from, Math.ceil(usesAt(term.upper, words))) };
}

/** Uses in a text of so many words by a rate per 1,000. */
const usesAt = (rate: number, words: number): number => (Math.min(rate, READERS_STAND) * words) / 1000;

/** How far a term's uses are what they should be: 1 within its band and up to twice its upper end. */
const shareOf = (uses: number, from: number, to: number): number =>
  uses < from ? uses / from : uses <= 2 * to ? 1 : Math.max(0, 1 - (uses - 2 * to) / (2 * to));

/** Uses of every term of the study in a draft; empty without a study. */
export const termUses = ({ settings, totals, words }: DraftFacts): TermUseInDraft[] =>
  (settings.study?.terms ?? []).map((term, index) => {
    const uses = totals.termUses[index];
    const { from, to } = termBand(term, words);
    return { term, index, uses, from, to, share: shareOf(uses, from, to) };
  });

/** The terms of a group added up. */
export interface GroupUse {
  terms: number;
  /** Sum of their shares. */
  share: number;
  /** Terms at their full share. */
  fine: number;
  /** Indices of terms that are not there, of those that are there too seldom, and of those that stand too often. */
  missing: number[];
  seldom: number[];
  often: number[];
}

/** What of {@link termUses} the score needs, for one group: with every key, so that nothing is made for each term. */
export function groupUse({ settings, totals, words }: DraftFacts, group: StudyTerm['group']): GroupUse {
  const found: GroupUse = { terms: 0, share: 0, fine: 0, missing: [], seldom: [], often: [] };
  const terms = settings.study?.terms ?? [];
  const { termUses: counts } = totals;
  for (let at = 0; at < terms.length; at++) {
    const term = terms[at];
    if (term.group !== group) continue;
    found.terms += 1;
    const uses = counts[at];
    const { from, to } = termBand(term, words);
    if (uses < from) (uses === 0 ? found.missing : found.seldom).push(at);
    if (uses > 2 * to) found.often.push(at);
    const share = shareOf(uses, from, to);
    found.share += share;
    if (share === 1) found.fine += 1;
  }
  return found;
}
