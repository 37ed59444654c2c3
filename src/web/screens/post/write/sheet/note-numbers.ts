import type { Node as ProseNode } from '@tiptap/pm/model';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';
import { isNoteRef, noteOf } from '../../../../../core/draft/index.ts';

/** Numbers for references and their notes, in the order in which the text refers to them. */
function numbered(doc: ProseNode): DecorationSet {
  const numbers = new Map<string, number>();
  const references: { at: number; id: string }[] = [];
  doc.descendants((node, at) => {
    if (node.type.name !== 'noteRef' || !isNoteRef(String(node.attrs['href']))) return;
    const id = noteOf(String(node.attrs['href']));
    references.push({ at, id });
    if (!numbers.has(id)) numbers.set(id, numbers.size + 1);
  });
  if (references.length === 0) return DecorationSet.empty;
  const notes = new Set<string>();
  const marks: Decoration[] = [];
  doc.forEach((list, at) => {
    if (list.type.name !== 'orderedList') return;
    const ids = list.children.map((item) => String(item.firstChild?.attrs['blockId']));
    if (!ids.every((id) => numbers.has(id))) return;
    marks.push(Decoration.node(at, at + list.nodeSize, { class: 'notes-list' }));
    list.forEach((item, offset, index) => {
      notes.add(ids[index]);
      const from = at + 1 + offset;
      marks.push(
        Decoration.node(from, from + item.nodeSize, { 'data-number': String(numbers.get(ids[index])) }),
      );
    });
  });
  for (const { at, id } of references)
    marks.push(
      Decoration.node(at, at + 1, {
        'data-number': notes.has(id) ? String(numbers.get(id)) : '?',
        title: notes.has(id) ? 'Footnote: press to go there' : 'The note is gone: remove this sign',
      }),
    );
  return DecorationSet.create(doc, marks);
}

const KEY = new PluginKey<DecorationSet>('noteNumbers');

/** Shows the numbers of footnotes; a press on one leads to its note. `lead` goes to a block. */
export const noteNumbers = (lead: (blockId: string) => void) =>
  new Plugin<DecorationSet>({
    key: KEY,
    state: {
      init: (_config, { doc }) => numbered(doc),
      apply: ({ docChanged }, marks, _before, { doc }) => (docChanged ? numbered(doc) : marks),
    },
    props: {
      decorations: (state) => KEY.getState(state),
      handleClickOn(_view, _at, node) {
        const href = node.type.name === 'noteRef' ? String(node.attrs['href']) : '';
        if (!isNoteRef(href)) return false;
        lead(noteOf(href));
        return true;
      },
    },
  });
