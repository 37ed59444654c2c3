import { getSchema } from '@tiptap/core';
import { EditorState, TextSelection } from '@tiptap/pm/state';
import { readMarkdown, writeEditor } from '../../../../../core/draft/index.ts';
import { extensions } from './extensions.ts';

export const schema = getSchema(extensions);

/** The sheet with a text, and the caret at the sign `|` in it, where there is one. */
export function sheet(md: string): EditorState {
  let id = 0;
  const nextId = () => `b${id++}`;
  const doc = schema.nodeFromJSON(writeEditor(readMarkdown(md, nextId).draft, nextId));
  let at = -1;
  doc.descendants((node, pos) => {
    if (node.isText && node.text!.includes('|')) at = pos + node.text!.indexOf('|');
  });
  const state = EditorState.create({ doc });
  if (at === -1) return state;
  const tr = state.tr.delete(at, at + 1);
  return state.apply(tr.setSelection(TextSelection.create(tr.doc, at)));
}
