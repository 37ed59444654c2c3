import { sentenceSpans } from '../criteria/index.ts';
import { TermCounter, type WordBases } from '../language/index.ts';
import type { PageReading } from './study-page.ts';

/** A sentence that uses a term. */
export interface TermExample {
  address: string;
  publisher: string;
  text: string;
  /** Where the term stands in it. */
  start: number;
  end: number;
}

/** Sentences in which pages use a term (by its key), at most so many, from as many pages as possible. */
export function termExamples(
  readings: readonly PageReading[],
  key: string,
  bases: WordBases,
  most = 6,
): TermExample[] {
  const counter = new TermCounter([key], bases);
  const byPage = readings.map(({ page, blocks }) => {
    const found: TermExample[] = [];
    for (const { block, tokens } of blocks) {
      if (found.length >= most) break;
      if (block.kind === 'heading') continue;
      const uses = counter.uses(tokens);
      if (uses.length === 0) continue;
      const spans = sentenceSpans(block.text, tokens);
      for (const { first, last } of uses) {
        const span = spans[tokens.sentences[first]];
        if (!span) continue;
        found.push({
          address: page.address,
          publisher: page.publisher,
          text: block.text.slice(span.start, span.end),
          start: tokens.starts[first] - span.start,
          end: tokens.ends[last] - span.start,
        });
      }
    }
    return found;
  });
  const out: TermExample[] = [];
  for (let round = 0; out.length < most && byPage.some((found) => found.length > round); round++)
    for (const found of byPage) if (found[round] && out.length < most) out.push(found[round]);
  return out;
}
