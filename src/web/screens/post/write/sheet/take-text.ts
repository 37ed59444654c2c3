import { closeHistory } from '@tiptap/pm/history';
import { Fragment, type Node as ProseNode, Slice } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { type Draft, writeEditor } from '../../../../../core/draft/index.ts';
import { textPlaceIn } from './text-place-plugin.ts';

const nextId = () => crypto.randomUUID();

/** The nodes of a draft, each block with an id of its own. */
function nodesOf({ schema }: EditorState, draft: Draft): ProseNode[] {
  const blocks = draft.blocks.map((block) => ({ ...block, id: block.id || nextId() }));
  return [...schema.nodeFromJSON(writeEditor({ ...draft, blocks }, nextId)).content.content];
}

/** Ids of the blocks in some nodes. */
function blockIdsIn(nodes: readonly ProseNode[]): string[] {
  const ids: string[] = [];
  for (const node of nodes) {
    if (node.attrs['blockId']) ids.push(String(node.attrs['blockId']));
    node.descendants((inner) => {
      if (inner.attrs['blockId']) ids.push(String(inner.attrs['blockId']));
      return true;
    });
  }
  return ids;
}

const isEmptyLine = (node: ProseNode | null | undefined): boolean =>
  node?.type.name === 'paragraph' && node.content.size === 0;

/** A step that took something into the draft, and the blocks that it went into. */
export interface Taken {
  tr: Transaction;
  blockIds: string[];
}

/** A step of its own for undo. */
const ownStep = (tr: Transaction): Transaction => closeHistory(tr).setMeta('addToHistory', true);

/**
 * A step that puts blocks in at the place of a text that is not yet taken: in the place of an empty line before it, joined to a list
 * of its kind before it. A heading that waits gives way to the one that comes with its id. Null where there is no such place.
 */
export function blocksTaken(state: EditorState, draft: Draft): Taken | null {
  const place = textPlaceIn(state);
  const nodes = nodesOf(state, draft);
  if (!place || nodes.length === 0) return null;
  const { tr } = state;
  const ids = new Set(blockIdsIn(nodes));
  state.doc.forEach((node, at) => {
    const isThere = ids.has(String(node.attrs['blockId']));
    if (isThere) tr.delete(tr.mapping.map(at), tr.mapping.map(at + node.nodeSize));
  });
  const to = tr.mapping.map(place.at);
  const before = tr.doc.resolve(to).nodeBefore;
  const from = isEmptyLine(before) ? to - before!.nodeSize : to;
  tr.replaceWith(from, to, Fragment.from(nodes));
  const first = nodes[0].type.name;
  if (from > 0 && /List$/.test(first) && tr.doc.resolve(from).nodeBefore?.type.name === first) tr.join(from);
  return { tr: ownStep(tr), blockIds: [...ids] };
}

/** A step that adds a sentence to the end of a block; null where the block is gone or holds no words. */
export function sentenceAdded(state: EditorState, blockId: string, draft: Draft): Taken | null {
  const [node] = nodesOf(state, draft);
  if (!node?.isTextblock) return null;
  let found: { at: number; node: ProseNode } | null = null;
  state.doc.descendants((inner, at) => {
    if (found) return false;
    if (inner.attrs['blockId'] === blockId && inner.isTextblock) found = { at, node: inner };
    return true;
  });
  if (!found) return null;
  const { at, node: block } = found as { at: number; node: ProseNode };
  const end = at + 1 + block.content.size;
  const { tr, schema } = state;
  const blank = block.content.size > 0 && !/\s$/.test(block.textContent) ? [schema.text(' ')] : [];
  tr.insert(end, Fragment.from([...blank, ...node.content.content]));
  return { tr: ownStep(tr), blockIds: [blockId] };
}

/** A step that puts a draft in the place of what was selected; within a paragraph its words alone. Null where that is gone. */
export function selectionReplaced(state: EditorState, draft: Draft): Taken | null {
  const range = textPlaceIn(state)?.range;
  const nodes = nodesOf(state, draft);
  if (!range || nodes.length === 0) return null;
  const { tr } = state;
  const $from = state.doc.resolve(range.from);
  const $to = state.doc.resolve(range.to);
  const isInline =
    $from.sameParent($to) &&
    $from.parent.isTextblock &&
    nodes.length === 1 &&
    nodes[0].type.name === 'paragraph';
  if (isInline) {
    tr.replaceWith(range.from, range.to, nodes[0].content);
    return { tr: ownStep(tr), blockIds: [String($from.parent.attrs['blockId'])] };
  }
  // Whole paragraphs are exchanged for whole ones.
  const isWhole =
    $from.parentOffset === 0 &&
    $to.parentOffset === $to.parent.content.size &&
    $from.depth > 0 &&
    $to.depth > 0;
  if (isWhole && $from.depth === 1 && $to.depth === 1)
    tr.replaceWith($from.before(1), $to.after(1), Fragment.from(nodes));
  else tr.replaceRange(range.from, range.to, new Slice(Fragment.from(nodes), 0, 0));
  return { tr: ownStep(tr), blockIds: blockIdsIn(nodes) };
}
