import { isHistoryTransaction } from '@tiptap/pm/history';
import type { Node as ProseNode } from '@tiptap/pm/model';
import { Plugin, PluginKey, type Transaction } from '@tiptap/pm/state';

/** A title that came with a paste: it stands beside the text, and the text's own undo knows nothing of it. */
interface PastedTitle {
  title: string;
  before: ProseNode;
  after: ProseNode;
}

/** By what a transaction says that a title came along. */
export const TITLE_PASTED = 'titlePasted';

/** Pastes that are remembered: a writer steps back over one or two. */
const MOST = 5;

/**
 * Takes a title that came with a paste off again where the paste is undone, and sets it again where it is redone; one that was
 * written over since stays. `titleOf` says what stands there now.
 */
export function pastedTitles(titleOf: () => string, setTitle: (title: string) => void) {
  let known: PastedTitle[] = [];
  const follow = (transaction: Transaction) => {
    const pasted = transaction.getMeta(TITLE_PASTED) as PastedTitle | undefined;
    if (pasted) known = [...known, pasted].slice(-MOST);
    if (known.length === 0 || !isHistoryTransaction(transaction)) return;
    for (const { title, before, after } of known) {
      if (titleOf() === title && transaction.doc.eq(before)) setTitle('');
      else if (titleOf() === '' && transaction.doc.eq(after)) setTitle(title);
    }
  };
  return new Plugin({
    key: new PluginKey('pastedTitles'),
    state: {
      init: () => null,
      apply: (transaction) => {
        // The title is no state of the editor: it is told once this step is done.
        if (transaction.getMeta(TITLE_PASTED) || isHistoryTransaction(transaction))
          queueMicrotask(() => follow(transaction));
        return null;
      },
    },
  });
}
