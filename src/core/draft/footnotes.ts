import { type Block, type Container, type Draft, isNoteRef, noteOf } from './draft.ts';

/** The footnotes of a draft. */
export interface Footnotes {
  /** Numbers by the id of a note's first block, in the order in which the text refers to them: 1, 2, ... */
  numbers: ReadonlyMap<string, number>;
  /** Keys of the lists that hold nothing but notes. */
  lists: ReadonlySet<string>;
}

const itemOf = ({ path }: Block): Container | undefined => path.find(({ type }) => type === 'item');

/**
 * The footnotes of a draft: items of lists outside of anything else that the text refers to, numbered as it refers to them. A list is
 * one of notes where each of its items is one.
 */
export function footnotesOf({ blocks }: Draft): Footnotes {
  const referred = new Set<string>();
  for (const { marks } of blocks)
    for (const { type, href } of marks)
      if (type === 'link' && href !== undefined && isNoteRef(href)) referred.add(noteOf(href));
  const numbers = new Map<string, number>();
  const lists = new Set<string>();
  if (referred.size === 0) return { numbers, lists };
  const notes = new Set<string>();
  const mixed = new Set<string>();
  for (const block of blocks) {
    const [list] = block.path;
    if (list?.type !== 'list') continue;
    const item = itemOf(block)!;
    if (referred.has(item.key)) {
      notes.add(item.key);
      lists.add(list.key);
    } else mixed.add(list.key);
  }
  for (const key of mixed) lists.delete(key);
  const isInList = new Set(
    blocks.flatMap((block) => (lists.has(block.path[0]?.key ?? '') ? [itemOf(block)!.key] : [])),
  );
  for (const id of referred) if (notes.has(id) && isInList.has(id)) numbers.set(id, numbers.size + 1);
  return { numbers, lists };
}

/** The number of the note that a link refers to; null for links of any other kind, and where the note is gone. */
export const noteNumber = (href: string | undefined, { numbers }: Footnotes): number | null =>
  href !== undefined && isNoteRef(href) ? (numbers.get(noteOf(href)) ?? null) : null;
