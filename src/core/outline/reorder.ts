import type { Block, Draft } from '../draft/index.ts';
import type { Outline } from './outline.ts';

const isHeading = (block: Block) => block.kind === 'heading' && block.path.length === 0;

/** Sections of a draft that the outline knows, each with the unknown ones that follow it; what stands before the first. */
function chains({ blocks }: Draft, outline: Outline): { before: Block[]; known: Map<string, Block[]> } {
  const planned = new Set(outline.map(({ id }) => id));
  const before: Block[] = [];
  const known = new Map<string, Block[]>();
  let current = before;
  for (const block of blocks) {
    if (isHeading(block) && planned.has(block.id)) {
      current = [];
      known.set(block.id, current);
    }
    current.push(block);
  }
  return { before, known };
}

/** Whether the draft's sections stand in another order than in the outline. */
export function isOrderedOtherwise(draft: Draft, outline: Outline): boolean {
  const { known } = chains(draft, outline);
  const wanted = outline.flatMap(({ id }) => (known.has(id) ? [id] : []));
  return [...known.keys()].some((id, at) => id !== wanted[at]);
}

/**
 * The draft with its sections in the outline's order. A section takes along everything below it up to the next heading
 * that the outline knows; headings that it does not know stay with the text before them. No block is lost, added or changed.
 */
export function reorderDraft(draft: Draft, outline: Outline): Draft {
  const { before, known } = chains(draft, outline);
  const blocks = [...before, ...outline.flatMap(({ id }) => known.get(id) ?? [])];
  return blocks.every((block, at) => block === draft.blocks[at]) ? draft : { ...draft, blocks };
}
