import type { Block, Picture, PostDocument, PostFields } from '../draft/index.ts';

/** One change to a post, as data. */
export type DraftEdit =
  | { kind: 'set-field'; field: keyof PostFields; value: PostFields[keyof PostFields] }
  | { kind: 'replace-text'; blockId: string; start: number; end: number; quote: string; text: string }
  | { kind: 'set-heading-level'; blockId: string; level: number }
  | { kind: 'set-picture'; blockId: string; picture: Partial<Picture> }
  | { kind: 'remove-block'; blockId: string }
  | { kind: 'split-block'; blockId: string; at: number; newId: string }
  | { kind: 'add-own-figure'; quote: string };

/**
 * Applies edits in order. An edit whose block or quote is no longer there is passed over: it came too late. Block ids stay
 * unique: a new one that is taken gets a number.
 */
export function applyEdits({ fields, draft }: PostDocument, edits: readonly DraftEdit[]): PostDocument {
  let nextFields = fields;
  let blocks = draft.blocks;
  for (const edit of edits) {
    if (edit.kind === 'set-field') nextFields = { ...nextFields, [edit.field]: edit.value };
    else if (edit.kind === 'add-own-figure')
      nextFields = { ...nextFields, ownFigures: [...nextFields.ownFigures, edit.quote] };
    else {
      const own = edit.kind === 'split-block' ? { ...edit, newId: freeId(edit.newId, blocks) } : edit;
      blocks = blocks.flatMap((block) => (block.id === own.blockId ? editBlock(block, own) : [block]));
    }
  }
  return { fields: nextFields, draft: blocks === draft.blocks ? draft : { ...draft, blocks } };
}

/** An id that no block has: the one wished, else with the next number. */
function freeId(wished: string, blocks: readonly Block[]): string {
  const taken = new Set(blocks.map(({ id }) => id));
  let id = wished;
  for (let next = 2; taken.has(id); next++) id = `${wished}-${next}`;
  return id;
}

type BlockEdit = Exclude<DraftEdit, { kind: 'set-field' | 'add-own-figure' }>;

function editBlock(block: Block, edit: BlockEdit): Block[] {
  switch (edit.kind) {
    case 'remove-block':
      return [];
    case 'set-heading-level':
      return block.kind === 'heading' ? [{ ...block, level: edit.level }] : [block];
    case 'set-picture':
      return block.image ? [{ ...block, image: { ...block.image, ...edit.picture } }] : [block];
    case 'split-block':
      return edit.at > 0 && edit.at < block.text.length ? splitBlock(block, edit.at, edit.newId) : [block];
    case 'replace-text':
      return block.text.slice(edit.start, edit.end) === edit.quote
        ? [replaceText(block, edit.start, edit.end, edit.text)]
        : [block];
  }
}

function replaceText(block: Block, start: number, end: number, text: string): Block {
  const shift = text.length - (end - start);
  const moved = (at: number) => (at >= end ? at + shift : Math.min(at, start + text.length));
  return {
    ...block,
    text: block.text.slice(0, start) + text + block.text.slice(end),
    marks: block.marks.map((mark) => ({
      ...mark,
      start: mark.start <= start ? mark.start : moved(mark.start),
      end: moved(mark.end),
    })),
  };
}

function splitBlock(block: Block, at: number, newId: string): Block[] {
  const head = block.text.slice(0, at).trimEnd();
  const tail = block.text.slice(at);
  return [
    {
      ...block,
      text: head,
      marks: block.marks
        .filter((mark) => mark.start < head.length)
        .map((mark) => ({ ...mark, end: Math.min(mark.end, head.length) })),
    },
    {
      ...block,
      id: newId,
      text: tail,
      marks: block.marks
        .filter((mark) => mark.end > at)
        .map((mark) => ({ ...mark, start: Math.max(0, mark.start - at), end: mark.end - at })),
    },
  ];
}
