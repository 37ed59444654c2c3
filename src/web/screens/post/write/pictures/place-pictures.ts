import type { Editor } from '@tiptap/core';
import { Fragment, type Node as ProseNode, type ResolvedPos, Slice } from '@tiptap/pm/model';
import { type EditorState, NodeSelection, TextSelection, type Transaction } from '@tiptap/pm/state';
import { dropPoint } from '@tiptap/pm/transform';

/** Where pictures go in: at the caret, or where they were dropped, as a position of the document. */
export type PicturePlace = { caret: true } | { at: number };

/**
 * Puts pictures in, in order, in one step, and sets the caret below the last. Nothing that stands in the text is
 * replaced: an empty line makes room, a line is parted at the caret, a selection stays and the pictures follow it.
 */
export function picturesPlaced(
  state: EditorState,
  srcs: readonly string[],
  place: PicturePlace,
): Transaction {
  const { tr, schema } = state;
  const figures = Fragment.from(srcs.map((src) => schema.nodes['figure'].create({ src })));
  if ('at' in place) {
    const at = dropPoint(tr.doc, place.at, new Slice(figures, 0, 0)) ?? tr.doc.content.size;
    tr.insert(at, figures);
    return caretBelow(tr, at + figures.size, 'in what follows');
  }
  const $caret = tr.doc.resolve(state.selection.to);
  const { parent, parentOffset } = $caret;
  if (!parent.isTextblock) {
    tr.insert($caret.pos, figures);
    return caretBelow(tr, $caret.pos + figures.size, 'in a line of its own');
  }
  if (parent.content.size === 0 && makesRoom($caret, figures)) {
    tr.replaceWith($caret.before(), $caret.after(), figures);
    return caretBelow(tr, $caret.before() + figures.size, 'in a line of its own');
  }
  if (parentOffset === 0 && parent.content.size > 0 && makesRoomBefore($caret, figures)) {
    tr.insert($caret.before(), figures);
    return tr.setSelection(TextSelection.create(tr.doc, $caret.pos + figures.size)).scrollIntoView();
  }
  if (parentOffset === parent.content.size || parent.type.spec.code) {
    tr.insert($caret.after(), figures);
    return caretBelow(tr, $caret.after() + figures.size, 'in a line of its own');
  }
  tr.split($caret.pos);
  tr.insert($caret.pos + 1, figures);
  return tr.setSelection(TextSelection.create(tr.doc, $caret.pos + 2 + figures.size)).scrollIntoView();
}

const makesRoom = ($at: ResolvedPos, figures: Fragment): boolean => {
  const index = $at.index(-1);
  return $at.node(-1).canReplace(index, index + 1, figures);
};

const makesRoomBefore = ($at: ResolvedPos, figures: Fragment): boolean => {
  const index = $at.index(-1);
  return $at.node(-1).canReplace(index, index, figures);
};

const isEmptyLine = (node: ProseNode | null): boolean =>
  node !== null && node.type.name === 'paragraph' && node.content.size === 0;

/** Sets the caret behind a block: in the text that follows or, where words would run into it, in an empty line. */
function caretBelow(
  tr: Transaction,
  after: number,
  where: 'in what follows' | 'in a line of its own',
): Transaction {
  const { nodeAfter } = tr.doc.resolve(after);
  const takesWords = where === 'in what follows' ? (nodeAfter?.isTextblock ?? false) : isEmptyLine(nodeAfter);
  if (!takesWords) tr.insert(after, tr.doc.type.schema.nodes['paragraph'].create());
  return tr.setSelection(TextSelection.create(tr.doc, after + 1)).scrollIntoView();
}

/** A step that sets the caret below the block that is selected as a whole, so that what is typed next does not replace it; null where none is. */
export function belowSelectedBlock(state: EditorState): Transaction | null {
  const { selection, tr } = state;
  if (!(selection instanceof NodeSelection) || !selection.node.isBlock || !selection.node.isAtom) return null;
  return caretBelow(tr, selection.to, 'in a line of its own');
}

/** A step by which a block changes places with its neighbour before (-1) or behind (1) it; null where it has none. */
export function blockMoved(state: EditorState, at: number, by: -1 | 1): Transaction | null {
  const $at = state.doc.resolve(at);
  const index = $at.index();
  const node = $at.parent.maybeChild(index);
  const other = $at.parent.maybeChild(index + by);
  if (!node || !other) return null;
  const { tr } = state;
  const from = by < 0 ? at - other.nodeSize : at;
  const both = by < 0 ? [node, other] : [other, node];
  tr.replaceWith(from, from + node.nodeSize + other.nodeSize, both);
  return tr.setSelection(NodeSelection.create(tr.doc, by < 0 ? from : from + other.nodeSize));
}

/**
 * A step by which a picture, and all that follow one another with it, stand so many in a row; `across` null: the picture stands by
 * itself, and the others stay.
 */
export function rowSet(state: EditorState, at: number, across: number | null): Transaction {
  const { tr } = state;
  const $at = state.doc.resolve(at);
  const { parent } = $at;
  const isPicture = (index: number) => parent.maybeChild(index)?.type.name === 'figure';
  let [first, last] = [$at.index(), $at.index()];
  if (across !== null) {
    while (isPicture(first - 1)) first -= 1;
    while (isPicture(last + 1)) last += 1;
  }
  let start = at;
  for (let index = $at.index(); index > first; index--) start -= parent.child(index - 1).nodeSize;
  for (let index = first; index <= last; index++) {
    tr.setNodeAttribute(start, 'across', across);
    start += parent.child(index).nodeSize;
  }
  return tr;
}

/** Sets how many pictures stand in a row, as one step that can be undone. */
export function setRow(editor: Editor, at: number | undefined, across: number | null): void {
  if (at !== undefined && editor.isEditable) editor.view.dispatch(rowSet(editor.state, at, across));
}

/** Moves a block past its neighbour, as one step that can be undone. */
export function moveBlock(editor: Editor, at: number | undefined, by: -1 | 1): void {
  const tr = at === undefined || !editor.isEditable ? null : blockMoved(editor.state, at, by);
  if (tr) editor.view.dispatch(tr);
}
