import type { Block } from '../draft/index.ts';

/**
 * Words that a writer leaves where something is still to come: `TODO`, `TK`, `[insert figure]`, `{{name}}`, `???`, a filler
 * text. In capitals alone where the same letters are a word or a name.
 */
const TO_FILL =
  /\b(?:TODO|TBD|TBC|TKTK|TK|FIXME|XXX+)\b|\blorem ipsum\b|\[(?:insert|add|fill in|put|your|tbd|todo|link to|source|picture of|image of)\b[^\]]{0,80}\]|\{\{[^}]{0,80}\}\}|\?{3,}/giu;
const IN_CAPITALS = /^(?:TODO|TBD|TBC|TKTK|TK|FIXME|X{3,})$/;

/** A place where something is still to be filled in. */
export interface ToFill {
  blockId: string;
  start: number;
  end: number;
  quote: string;
}

/** Where a text still waits for words; code is left alone, there such marks are the subject. */
export function leftToFill(blocks: readonly Block[]): ToFill[] {
  const found: ToFill[] = [];
  for (const { id, kind, text, marks } of blocks) {
    if (kind === 'code') continue;
    for (const match of text.matchAll(TO_FILL)) {
      const [quote] = match;
      const start = match.index;
      const end = start + quote.length;
      if (/^[a-z]+$/i.test(quote) && !IN_CAPITALS.test(quote)) continue;
      if (marks.some((mark) => mark.type === 'code' && mark.start <= start && mark.end >= end)) continue;
      found.push({ blockId: id, start, end, quote });
    }
  }
  return found;
}
