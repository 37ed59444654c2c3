import type { Node as ProseNode } from '@tiptap/pm/model';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';

/** A stretch of the draft that is marked on the sheet. */
export interface MarkedPlace {
  blockId: string;
  start: number;
  end: number;
  look: 'use' | 'use-variant' | 'noted' | 'in-hand' | 'left-over';
  /** The criterion that speaks of it, for finding its note by a click. */
  criterion: string | null;
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
    for (const { start, end, look, criterion } of own ?? []) {
      const data = criterion ? { 'data-note': criterion } : {};
      if (look === 'left-over') {
        out.push(
          Decoration.node(at, at + node.nodeSize, {
            class: look,
            title: 'As in the post that this one was begun from',
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
            ...data,
          }),
        );
      }
    }
    return !node.isTextblock;
  });
  return DecorationSet.create(doc, out);
}
