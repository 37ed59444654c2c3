import type { EditorView } from '@tiptap/pm/view';

/** What the editor does when the page tells it that the selection changed; not part of its types. */
interface Observing {
  domObserver?: { onSelectionChange?: () => void };
}

/**
 * Takes over where the page has the caret. The page tells of a change of it some time later, and where the machine is busy a key may
 * come before: a command would then act where the caret was before the click, or the editor would put the caret back there.
 */
function takeCaret(view: EditorView): void {
  if (view.isDestroyed || view.composing || !view.hasFocus()) return;
  (view as Observing).domObserver?.onSelectionChange?.();
}

/** Keeps the editor's caret in step with that of the page, key by key and press by press. */
export const caretInStep = {
  keydown: (view: EditorView): void => takeCaret(view),
  /** The page sets the caret after it has told of the press: it is looked at right after. */
  mousedown(view: EditorView): void {
    setTimeout(() => takeCaret(view));
  },
};
