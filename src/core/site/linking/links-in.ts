import type { Block } from '../../draft/index.ts';
import type { LinkBook } from './link-book.ts';
import { type LinkOffer, offerOf } from './links-out.ts';
import { type Passage, passagesIn } from './passages.ts';

/**
 * Where another post, which links to the paths in `links`, speaks of a page of the book (by its index) without a link to it: its best passage; null where it links
 * there already, or says nothing of it.
 */
export function linkIn(
  blocks: readonly Block[],
  links: ReadonlySet<string>,
  book: LinkBook,
  only: number,
): LinkOffer | null {
  if (links.has(book.targets[only].path)) return null;
  let best: Passage | null = null;
  for (const passage of passagesIn(blocks, book, { only }))
    if (!best || passage.strength > best.strength) best = passage;
  return best && offerOf(best, blocks[best.block], book);
}
