import type { Editor } from '@tiptap/core';
import { type EditorState, Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';

/** Where a text that is not yet taken stands in the sheet. */
export interface PlaceInSheet {
  /** Between two blocks at the top of the document. */
  at: number;
  /** What was selected when it was asked for, as far as it is still there. */
  range: { from: number; to: number } | null;
}

interface State extends PlaceInSheet {
  dom: HTMLElement;
}

const key = new PluginKey<State | null>('textPlace');

/** Keeps the place of a text that is not yet taken: it moves with the text around it, and is no part of the document. */
export const textPlacePlugin = (): Plugin<State | null> =>
  new Plugin<State | null>({
    key,
    state: {
      init: () => null,
      apply(transaction, place) {
        const given = transaction.getMeta(key) as State | 'close' | undefined;
        if (given) return given === 'close' ? null : given;
        if (!place || !transaction.docChanged) return place;
        const { mapping, doc } = transaction;
        const from = place.range ? mapping.map(place.range.from, 1) : 0;
        const to = place.range ? mapping.map(place.range.to, -1) : 0;
        return {
          ...place,
          at: topBoundary(doc.resolve(Math.min(mapping.map(place.at, 1), doc.content.size))),
          range: place.range && to > from ? { from, to } : null,
        };
      },
    },
    props: {
      decorations(state) {
        const place = key.getState(state);
        if (!place) return null;
        const shown = [
          Decoration.widget(place.at, place.dom, {
            side: 1,
            key: 'text-place',
            stopEvent: () => true,
            ignoreSelection: true,
          }),
          ...(place.range
            ? [Decoration.inline(place.range.from, place.range.to, { class: 'asked-about' })]
            : []),
        ];
        return DecorationSet.create(state.doc, shown);
      },
    },
  });

/** The nearest place between two blocks at the top of the document, at or after a position. */
function topBoundary($at: ReturnType<EditorState['doc']['resolve']>): number {
  return $at.depth === 0 ? $at.pos : $at.after(1);
}

/** Opens the place below a position (the end where it is null); what is selected right there is remembered with it. */
export function showTextPlace(editor: Editor, dom: HTMLElement, position: number | null): void {
  const { state, view } = editor;
  const { selection, doc } = state;
  const at =
    position === null ? doc.content.size : topBoundary(doc.resolve(Math.min(position, doc.content.size)));
  const isHere = !selection.empty && topBoundary(selection.$to) === at;
  const place: State = { at, range: isHere ? { from: selection.from, to: selection.to } : null, dom };
  view.dispatch(state.tr.setMeta(key, place).setMeta('addToHistory', false));
}

export function hideTextPlace({ state, view }: Editor): void {
  if (key.getState(state)) view.dispatch(state.tr.setMeta(key, 'close').setMeta('addToHistory', false));
}

/** Where the place stands; null: there is none. */
export const textPlaceIn = (state: EditorState): PlaceInSheet | null => key.getState(state) ?? null;
