import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import type { Node as ProseNode } from '@tiptap/pm/model';
import { type EditorState, TextSelection, type Transaction } from '@tiptap/pm/state';
import {
  addressOfLine,
  type EmbedKind,
  embedAddress,
  isNoteRef,
  noteOf,
  noteRef,
} from '../../../../../core/draft/index.ts';

/** The notes' list at the end of the text, where each of its items is referred to; null where there is none. */
function notesList(doc: ProseNode): { at: number; node: ProseNode } | null {
  const referred = new Set<string>();
  doc.descendants((node) => {
    const href = node.type.name === 'noteRef' ? String(node.attrs['href']) : '';
    if (isNoteRef(href)) referred.add(noteOf(href));
  });
  let found: { at: number; node: ProseNode } | null = null;
  doc.forEach((node, at) => {
    if (node.type.name !== 'orderedList') return;
    const isOne = node.children.every((item) => referred.has(String(item.firstChild?.attrs['blockId'])));
    if (isOne) found = { at, node };
  });
  return found;
}

/** A step that puts a reference to a new footnote at the caret and the caret into the note; null where none can stand. */
export function footnoteAdded(state: EditorState, id: string): Transaction | null {
  const { selection, schema, tr } = state;
  const { $to } = selection;
  const reference = schema.nodes['noteRef'].create({ href: noteRef(id) });
  if (!$to.parent.inlineContent || $to.parent.type.spec.code) return null;
  const list = notesList(state.doc);
  // A note has no notes.
  if (list && $to.pos > list.at && $to.pos < list.at + list.node.nodeSize) return null;
  const item = schema.nodes['listItem'].create(null, schema.nodes['paragraph'].create({ blockId: id }));
  const { lastChild, content } = state.doc;
  const isLineLeft = lastChild?.type.name === 'paragraph' && lastChild.content.size === 0;
  const end = isLineLeft && $to.node(1) !== lastChild ? content.size - lastChild.nodeSize : content.size;
  const at = list ? list.at + list.node.nodeSize - 1 : end;
  tr.insert($to.pos, reference);
  // The list may stand above the caret: where it ends now.
  const place = tr.mapping.map(at);
  tr.insert(place, list ? item : schema.nodes['orderedList'].create(null, item));
  const inside = place + (list ? 2 : 3);
  return tr.setSelection(TextSelection.create(tr.doc, inside)).scrollIntoView();
}

/** Puts a footnote in at the caret. */
export function addFootnote(editor: Editor): void {
  take(editor, footnoteAdded(editor.state, crypto.randomUUID()));
}

/** Takes a step and gives the sheet the focus; nothing where the post is written in another tab. */
function take(editor: Editor, step: Transaction | null): void {
  if (editor.isDestroyed || !editor.isEditable) return;
  if (step) editor.view.dispatch(closeHistory(step));
  editor.view.focus();
}

/** Sets the mark down to which lists show the post: above the line in hand, in one place only. */
export function setMore(editor: Editor): void {
  const { state } = editor;
  const { tr, schema, selection } = state;
  const places: number[] = [];
  state.doc.forEach((node, at) => {
    if (node.type.name === 'more') places.push(at);
  });
  for (const at of places.reverse()) tr.delete(at, at + 1);
  const $at = tr.doc.resolve(tr.mapping.map(selection.from));
  const line = $at.depth > 0 ? $at.node(1) : null;
  const isEmptyLine = line?.type.name === 'paragraph' && line.content.size === 0;
  if (isEmptyLine) tr.replaceWith($at.before(1), $at.after(1), schema.nodes['more'].create());
  else tr.insert($at.depth > 0 ? $at.before(1) : $at.pos, schema.nodes['more'].create());
  const after = isEmptyLine ? $at.before(1) + 1 : null;
  if (after !== null && tr.doc.resolve(after).nodeAfter === null)
    tr.insert(after, schema.nodes['paragraph'].create());
  if (after !== null) tr.setSelection(TextSelection.near(tr.doc.resolve(after)));
  take(editor, tr.scrollIntoView());
}

/**
 * A step that makes an embed of the address that stands alone before the caret in its line, with the caret below it, where the rest
 * of the line goes; null where anything else stands there.
 */
export function lineEmbedded(state: EditorState): Transaction | null {
  const { selection, schema, tr } = state;
  const { $from, empty } = selection;
  const { parent, parentOffset } = $from;
  if (!empty || $from.depth === 0 || parent.type.name !== 'paragraph') return null;
  const address = addressOfLine(parent.textBetween(0, parentOffset, ' ', ' '));
  const found = address === null ? null : embedAddress(address);
  const embed = found && schema.nodes['embed'].create({ ...found });
  if (!embed || !$from.node(-1).canReplaceWith($from.index(-1), $from.index(-1), embed.type)) return null;
  const at = $from.before();
  tr.delete($from.start(), $from.pos);
  tr.insert(at, embed);
  return tr.setSelection(TextSelection.create(tr.doc, at + embed.nodeSize + 1)).scrollIntoView();
}

/** Puts a block of its own in at the caret: in the place of an empty line, else below the line in hand. */
function putBlock(editor: Editor, block: ProseNode): void {
  const { tr, selection, schema } = editor.state;
  const { $to } = selection;
  const isEmptyLine = $to.depth > 0 && $to.parent.type.name === 'paragraph' && $to.parent.content.size === 0;
  const at = $to.depth === 0 ? $to.pos : isEmptyLine ? $to.before() : $to.after(1);
  tr.replaceWith(at, isEmptyLine ? $to.after() : at, block);
  const below = at + block.nodeSize;
  if (tr.doc.resolve(below).nodeAfter === null) tr.insert(below, schema.nodes['paragraph'].create());
  const caret = block.isTextblock ? at + 1 + block.content.size : below;
  take(editor, tr.setSelection(TextSelection.near(tr.doc.resolve(caret))).scrollIntoView());
}

/** Puts an embed in at the caret. */
export const addEmbed = (editor: Editor, found: { href: string; kind: EmbedKind }): void =>
  putBlock(editor, editor.schema.nodes['embed'].create({ ...found }));

/** Puts a line that is a link in at the caret. */
export function addLinkLine(editor: Editor, href: string): void {
  const { schema } = editor;
  const words = schema.text(href, [schema.marks['link'].create({ href })]);
  putBlock(editor, schema.nodes['paragraph'].create(null, words));
}

/** Puts the next step in at the caret and selects its words. */
export function addStep(editor: Editor, words: string): void {
  const { schema } = editor;
  if (!editor.isEditable) return;
  putBlock(editor, schema.nodes['paragraph'].create({ step: 'button' }, schema.text(words)));
  const { $from } = editor.state.selection;
  editor.commands.setTextSelection({ from: $from.start(), to: $from.end() });
}

/** Makes an embed a link again. */
export function embedAsLink(editor: Editor, at: number | undefined): void {
  const node = at === undefined ? null : editor.state.doc.nodeAt(at);
  if (at === undefined || node?.type.name !== 'embed') return;
  const { href, title } = node.attrs as { href: string; title: string };
  const { schema, tr } = editor.state;
  const words = schema.text(title || href, [schema.marks['link'].create({ href })]);
  tr.replaceWith(at, at + node.nodeSize, schema.nodes['paragraph'].create(null, words));
  take(editor, tr.setSelection(TextSelection.near(tr.doc.resolve(at + 1))));
}
