import type { ChainedCommands, Editor } from '@tiptap/core';

/**
 * Commands on a sheet that has the focus from here on: what is typed right after them goes into the text. The editor's own command
 * for it waits for the next frame, and keys that come before are lost.
 */
export function focusedChain(editor: Editor): ChainedCommands {
  editor.view.focus();
  return editor.chain();
}
