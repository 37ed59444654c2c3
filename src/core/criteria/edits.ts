import {
  type Block,
  type Embed,
  type Picture,
  type PostDocument,
  type PostFields,
  tidyMarks,
} from '../draft/index.ts';

/** One change to a post, as data. */
export type DraftEdit =
  | { kind: 'set-field'; field: keyof PostFields; value: PostFields[keyof PostFields] }
  | { kind: 'replace-text'; blockId: string; start: number; end: number; quote: string; text: string }
  | { kind: 'set-heading-level'; blockId: string; level: number }
  | { kind: 'make-heading'; blockId: string; level: number }
  /** A link over some words; `href` null: the words stand without one. */
  | { kind: 'set-link'; blockId: string; start: number; end: number; quote: string; href: string | null }
  /** Others in the place of a block whose text is still `quote`. */
  | { kind: 'replace-block'; blockId: string; quote: string; blocks: Block[] }
  | { kind: 'set-picture'; blockId: string; picture: Partial<Picture> }
  | { kind: 'set-embed'; blockId: string; embed: Partial<Embed> }
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
      const own = withFreeIds(edit, blocks);
      blocks = blocks.flatMap((block) => (block.id === own.blockId ? editBlock(block, own) : [block]));
    }
  }
  return { fields: nextFields, draft: blocks === draft.blocks ? draft : { ...draft, blocks } };
}

/** The same edits with ids for new blocks that `nextId` gives out, for a draft that goes on living. */
export const withNewIds = (edits: readonly DraftEdit[], nextId: () => string): DraftEdit[] =>
  edits.map((edit): DraftEdit => {
    if (edit.kind === 'split-block') return { ...edit, newId: nextId() };
    if (edit.kind !== 'replace-block') return edit;
    return renamed(edit, (id) => (id === edit.blockId ? id : nextId()));
  });

type ReplaceBlock = Extract<DraftEdit, { kind: 'replace-block' }>;

/** Renames the blocks that come, and with them their containers, which are known by the first block inside. */
function renamed(edit: ReplaceBlock, nameOf: (id: string) => string): ReplaceBlock {
  const names = new Map(edit.blocks.map(({ id }) => [id, nameOf(id)]));
  const blocks = edit.blocks.map((block) => ({
    ...block,
    id: names.get(block.id)!,
    path: block.path.map((part) => ({ ...part, key: names.get(part.key) ?? part.key })),
  }));
  return { ...edit, blocks };
}

function withFreeIds(edit: BlockEdit, blocks: readonly Block[]): BlockEdit {
  if (edit.kind === 'split-block') return { ...edit, newId: freeId(edit.newId, blocks) };
  if (edit.kind !== 'replace-block') return edit;
  const others = blocks.filter(({ id }) => id !== edit.blockId);
  return renamed(edit, (id) => freeId(id, others));
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
    case 'make-heading':
      return block.kind === 'paragraph' && block.path.length === 0
        ? [
            {
              ...block,
              kind: 'heading',
              level: edit.level,
              marks: block.marks.filter(({ type }) => type !== 'bold'),
            },
          ]
        : [block];
    case 'set-link':
      return block.text.slice(edit.start, edit.end) === edit.quote ? [setLink(block, edit)] : [block];
    case 'replace-block':
      return block.text === edit.quote ? edit.blocks : [block];
    case 'set-picture':
      return block.image ? [{ ...block, image: { ...block.image, ...edit.picture } }] : [block];
    case 'set-embed':
      return block.embed ? [{ ...block, embed: { ...block.embed, ...edit.embed } }] : [block];
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

function setLink(
  block: Block,
  { start, end, href }: { start: number; end: number; href: string | null },
): Block {
  const kept = block.marks.filter((mark) => mark.type !== 'link' || mark.end <= start || mark.start >= end);
  // How it is followed and opened stays as it was.
  const { nofollow, newWindow } = block.marks.find((mark) => !kept.includes(mark)) ?? {};
  const how = { ...(nofollow ? { nofollow } : {}), ...(newWindow ? { newWindow } : {}) };
  const marks = href === null ? kept : [...kept, { type: 'link' as const, start, end, href, ...how }];
  return { ...block, marks: tidyMarks(marks, block.text) };
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
