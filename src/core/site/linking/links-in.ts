import type { Block } from '../../draft/index.ts';
import type { LinkBook } from './link-book.ts';
import { type LinkOffer, offerOf } from './links-out.ts';
import { type Passage, passagesIn } from './passages.ts';

/** Another post of the site as it is looked through. */
export interface OtherPost {
  id: string;
  blocks: readonly Block[];
  /** Paths that it links to. */
  links: ReadonlySet<string>;
}

/**
 * Where another post speaks of a page of the book (by its index) without a link to it: its best passage; null where it links
 * there already, or says nothing of it.
 */
export function linkIn({ blocks, links }: OtherPost, book: LinkBook, only: number): LinkOffer | null {
  if (links.has(book.targets[only].path)) return null;
  let best: Passage | null = null;
  for (const passage of passagesIn(blocks, book, { only }))
    if (!best || passage.strength > best.strength) best = passage;
  return best && offerOf(best, blocks[best.block], book);
}
