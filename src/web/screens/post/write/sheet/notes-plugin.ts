import type { Node as ProseNode } from '@tiptap/pm/model';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';

/** A stretch of the draft that is marked on the sheet. */
export interface MarkedPlace {
  blockId: string;
  start: number;
  end: number;
  look:
    | 'use'
    | 'use-variant'
    | 'noted'
    | 'in-hand'
    | 'left-over'
    | 'unedited'
    | 'waiting'
    | 'check-this'
    | 'added'
    | 'added-weighty';
  /** The criterion that speaks of it, for finding its note by a click. */
  criterion: string | null;
  /** What the outline notes for a heading that waits for its text; what is to be checked. */
  note?: string;
}

const WHOLE: Partial<Record<MarkedPlace['look'], string>> = {
  'left-over': 'As in the post that this one was begun from',
  unedited: 'As it was generated or came back: not edited or read yet',
  waiting: 'Planned in the outline: counts and goes out once something stands below it',
};

/** A note of the outline below its heading: no part of the text. */
function noteBelow(note: string): HTMLElement {
  const element = document.createElement('div');
  element.className = 'waiting-note';
  element.contentEditable = 'false';
  element.textContent = note;
  return element;
}

const key = new PluginKey<DecorationSet>('notes');

/** Keeps marks of keyword uses and notes on the sheet; they move with the text until the next report comes. */
export const notesPlugin = (): Plugin<DecorationSet> =>
  new Plugin<DecorationSet>({
    key,
    state: {
      init: () => DecorationSet.empty,
      apply(transaction, set) {
        const places = transaction.getMeta(key) as MarkedPlace[] | undefined;
        return places ? decorate(transaction.doc, places) : set.map(transaction.mapping, transaction.doc);
      },
    },
    props: { decorations: (state) => key.getState(state) },
  });

/** The meta key under which new places are handed over. */
export const NOTES_META = key;

function decorate(doc: ProseNode, places: readonly MarkedPlace[]): DecorationSet {
  const byBlock = new Map<string, MarkedPlace[]>();
  for (const place of places) byBlock.set(place.blockId, [...(byBlock.get(place.blockId) ?? []), place]);
  const out: Decoration[] = [];
  doc.descendants((node, at) => {
    const own = byBlock.get(node.attrs['blockId'] as string);
    for (const { start, end, look, criterion, note } of own ?? []) {
      const data = criterion ? { 'data-note': criterion } : {};
      const title = WHOLE[look];
      if (title) {
        out.push(Decoration.node(at, at + node.nodeSize, { class: look, title }));
        if (note)
          out.push(
            Decoration.widget(at + node.nodeSize, () => noteBelow(note), {
              side: -1,
              key: `${look} ${note}`,
            }),
          );
        continue;
      }
      const whole = !node.isTextblock || end - start >= node.textContent.length;
      if (whole && (look === 'noted' || look === 'in-hand')) {
        out.push(
          Decoration.node(at, at + node.nodeSize, {
            class: look === 'noted' ? 'noted-block' : 'in-hand',
            ...data,
          }),
        );
      } else if (node.isTextblock && end > start) {
        const size = node.content.size;
        out.push(
          Decoration.inline(at + 1 + Math.min(start, size), at + 1 + Math.min(end, size), {
            class: look,
            ...(look === 'check-this' && note ? { title: note } : {}),
            ...data,
          }),
        );
      }
    }
    return !node.isTextblock;
  });
  return DecorationSet.create(doc, out);
}
