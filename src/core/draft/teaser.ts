import { sentenceBreaks } from '../language/index.ts';
import type { Block, Draft } from './draft.ts';

/** What stands above the mark for lists; null where there is none, or nothing above it. */
export function aboveMore({ blocks }: Draft): Block[] | null {
  const at = blocks.findIndex(({ kind }) => kind === 'more');
  return at > 0 ? blocks.slice(0, at) : null;
}

function sentencesOf(text: string): string[] {
  const from = [0, ...sentenceBreaks(text)];
  return from.map((at, index) => text.slice(at, from[index + 1]));
}

/** What begins with a word and ends as a sentence does: no lone link, no line of a list that lost its marks. */
const SENTENCE = /^["'“‘(¿¡]?[\p{L}\p{N}].*[.!?…。！？]["'”’»)\]]{0,2}$/su;

/** Most characters of an excerpt that is drafted: what lists of most blogs show. */
const MOST = 250;

/**
 * An excerpt out of a post's own sentences: whole ones of what stands above the mark for lists, else of its first paragraphs, as many
 * as lists have room for; empty where even the first is too long.
 */
export function draftedExcerpt(draft: Draft): string {
  let taken = '';
  for (const { kind, path, step, text } of aboveMore(draft) ?? draft.blocks) {
    if (kind !== 'paragraph' || path.length > 0 || step) continue;
    for (const sentence of sentencesOf(text.replace(/†/g, '').replace(/\s+/g, ' '))) {
      if (!SENTENCE.test(sentence.trim())) continue;
      const next = taken === '' ? sentence.trim() : `${taken} ${sentence.trim()}`;
      if (next.length > MOST) return taken;
      taken = next;
    }
  }
  return taken;
}
