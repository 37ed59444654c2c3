import type { Block } from '../../draft/index.ts';
import type { Fix } from '../criterion.ts';
import type { DraftFacts } from '../draft-facts.ts';
import type { DraftEdit } from '../edits.ts';
import { asWritten } from './as-written.ts';
import { type Change, placesToName } from './naming.ts';

/** Places that are looked at for one phrase. */
const MOST = 3;

/** Phrases for which a place is looked for: each goes through the whole text. */
const MOST_PHRASES = 10;

/** For each of some phrases the first place in the running text where it can be named. */
export const firstNamed = (facts: DraftFacts, phrases: readonly string[]): Fix[] =>
  phrases.slice(0, MOST_PHRASES).flatMap((phrase) => namedInText(facts, phrase).slice(0, 1));

/** A change of a block's words as an edit. */
export const asEdit = (block: Block, { start, end, text }: Change): DraftEdit => ({
  kind: 'replace-text',
  blockId: block.id,
  start,
  end,
  quote: block.text.slice(start, end),
  text,
});

/**
 * Fixes that put a phrase into the running text where the noun it is about stands alone ("your tent" is "your two-person
 * tent"), in order of the text; only within a stretch of its words, where one is given.
 */
export function namedInText(facts: DraftFacts, phrase: string, within?: { from: number; to: number }): Fix[] {
  if (!facts.english) return [];
  const written = asWritten(phrase, facts);
  const fixes: Fix[] = [];
  let before = 0;
  for (const [index, { block, prose, tokens, words }] of facts.readings.entries()) {
    if (index === facts.titleBlock) continue;
    const inside = !within || (before < within.to && before + words > within.from);
    if (prose && inside) {
      for (const change of placesToName(block.text, written, facts.reader.vocabulary, tokens)) {
        const word = before + wordsBefore(block.text, change.start);
        if (within && (word < within.from || word >= within.to)) continue;
        // Words of a link, and code, are not written into.
        const taken = block.marks.some(
          ({ type, start, end }) =>
            (type === 'link' || type === 'code') && start < change.end && end > change.start,
        );
        if (taken) continue;
        fixes.push({ label: `Say "${change.text}"`, edits: [asEdit(block, change)], readOver: true });
        if (fixes.length === MOST) return fixes;
      }
    }
    before += words;
  }
  return fixes;
}

const wordsBefore = (text: string, at: number): number => text.slice(0, at).match(/\S+/g)?.length ?? 0;
