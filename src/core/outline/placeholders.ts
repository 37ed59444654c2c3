import type { Block, Draft } from '../draft/index.ts';
import type { Outline, OutlineItem } from './outline.ts';

const isHeading = (block: Block) => block.kind === 'heading' && block.path.length === 0;
const isWritten = ({ kind, text, image }: Block) =>
  image !== undefined || kind === 'kept' || kind === 'divider' || text.trim() !== '';

/**
 * Ids of headings that stand in a draft as placeholders: they came from the outline, and nothing is written below them
 * before the next heading that is no deeper.
 */
export function placeholderHeadings({ blocks }: Draft, outline: Outline): Set<string> {
  const planned = new Set(outline.map(({ id }) => id));
  const empty = new Set<string>();
  if (planned.size === 0) return empty;
  // From the end: levels of headings below which nothing was written yet.
  let writtenBelow = 0;
  for (let at = blocks.length - 1; at >= 0; at--) {
    const block = blocks[at];
    if (!isHeading(block)) {
      if (isWritten(block)) writtenBelow = 6;
      continue;
    }
    const level = block.level ?? 2;
    // `writtenBelow` is the deepest level whose heading would hold the text that follows.
    if (writtenBelow >= level) writtenBelow = level - 1;
    else if (planned.has(block.id)) empty.add(block.id);
    else writtenBelow = level - 1;
  }
  return empty;
}

/** A draft as it is scored and goes out: without the headings that still wait for their text. */
export function finishedDraft(draft: Draft, outline: Outline): Draft {
  const waiting = placeholderHeadings(draft, outline);
  return waiting.size === 0 ? draft : { ...draft, blocks: draft.blocks.filter(({ id }) => !waiting.has(id)) };
}

/** Headings of an outline that have no text yet, in its order: those that wait in the draft, and those that are not in it. */
export function unwrittenHeadings(draft: Draft, outline: Outline): OutlineItem[] {
  const waiting = placeholderHeadings(draft, outline);
  const written = new Set(
    draft.blocks.flatMap(({ id, kind, text }) =>
      kind === 'heading' && !waiting.has(id) ? [text.trim()] : [],
    ),
  );
  return outline.filter(({ text }) => text.trim() !== '' && !written.has(text.trim()));
}

/** A text that comes into a draft, its headings the outline's own where they wait for it: so both know each other. */
export function withPlannedHeadings(text: Draft, draft: Draft, outline: Outline): Draft {
  const planned = new Map(unwrittenHeadings(draft, outline).map((item) => [item.text.trim(), item.id]));
  const blocks = text.blocks.map((block) => {
    const key = block.text.trim();
    const id = isHeading(block) ? planned.get(key) : undefined;
    // Each stands once.
    if (id !== undefined) planned.delete(key);
    return id === undefined ? block : { ...block, id };
  });
  return { ...text, blocks };
}
