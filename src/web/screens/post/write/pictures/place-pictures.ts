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
