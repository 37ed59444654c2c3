import type { Block } from '../../draft/index.ts';
import type { LinkBook } from './link-book.ts';
import type { LinkTarget } from './link-target.ts';
import { type Passage, passagesIn, type TakenWords } from './passages.ts';

/** A link that would help: a page, and the words of the draft that would carry it. */
export interface LinkOffer {
  target: LinkTarget;
  blockId: string;
  start: number;
  end: number;
  /** The words that would be the link. */
  quote: string;
  /** The sentence that they stand in, and where they stand in it. */
  sentence: string;
  from: number;
  /** How surely the words speak of the page, 0-1. */
  strength: number;
}

/** Links offered at most: nobody reads more. */
const MOST_OFFERED = 20;

/**
 * Pages worth linking from a draft, best first, each once, with the words to link. `linked` are the paths that it links
 * already, its own among them; `taken` finds the draft's own keyword, whose words carry no link.
 */
export function linksOut(
  blocks: readonly Block[],
  book: LinkBook,
  linked: ReadonlySet<string>,
  taken?: TakenWords,
): LinkOffer[] {
  const bestOf = new Map<number, Passage>();
  const passages = passagesIn(blocks, book, { taken }).filter(
    ({ target }) => !linked.has(book.targets[target].path),
  );
  // Of several that are alike the first: a reader meets it first.
  for (const passage of passages) {
    const known = bestOf.get(passage.target);
    if (!known || passage.strength > known.strength + 0.001) bestOf.set(passage.target, passage);
  }
  const ranked = [...bestOf.values()].sort(
    (a, b) =>
      b.strength - a.strength ||
      b.end - b.start - (a.end - a.start) ||
      (book.targets[a.target].path < book.targets[b.target].path ? -1 : 1),
  );
  const offers: LinkOffer[] = [];
  const used = new Map<number, { start: number; end: number }[]>();
  for (const first of ranked) {
    if (offers.length === MOST_OFFERED) break;
    // Words carry one link: the next best page takes other words, or none.
    const free = (passage: Passage) =>
      !(used.get(passage.block) ?? []).some(({ start, end }) => start < passage.end && end > passage.start);
    const passage = free(first)
      ? first
      : passages
          .filter((one) => one.target === first.target && free(one))
          .sort((a, b) => b.strength - a.strength)[0];
    if (!passage) continue;
    used.set(passage.block, [...(used.get(passage.block) ?? []), passage]);
    offers.push(offerOf(passage, blocks[passage.block], book));
  }
  return offers;
}

/** A passage as it is shown. */
export function offerOf(
  { target, start, end, sentenceStart, sentenceEnd, strength }: Passage,
  { id, text }: Block,
  book: LinkBook,
): LinkOffer {
  return {
    target: book.targets[target],
    blockId: id,
    start,
    end,
    quote: text.slice(start, end),
    sentence: text.slice(sentenceStart, sentenceEnd),
    from: start - sentenceStart,
    strength,
  };
}
