import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { Fragment, Slice } from '@tiptap/pm/model';
import type { EditorProps, EditorView } from '@tiptap/pm/view';
import { createElement } from 'react';
import { toast } from 'sonner';
import {
  cleanPaste,
  type Draft,
  type ReadClipboard,
  readClipboard,
  UnreadableFile,
  writeEditor,
} from '../../../../../core/draft/index.ts';
import { attempt } from '../../../../state/attempt.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { offerUndo, type TakeBack } from '../../../../state/undo.ts';
import { insertPictures } from '../pictures/insert-pictures.ts';
import { belowSelectedBlock } from '../pictures/place-pictures.ts';
import { isLong, PasteAccount } from './paste-account.tsx';
import { TITLE_PASTED } from './pasted-titles.ts';

/** What the editor itself never puts on the clipboard. */
const FORGED =
  /\son[a-z]+\s*=|<(?:script|base|iframe|object|embed|svg|form)\b|\b(?:col|row)span\s*=\s*["']?\s*\d{3}/i;

/** Characters from which what a paste replaces is kept as a version. */
const MUCH = 200;

const nextId = () => crypto.randomUUID();

/** How the editor takes what is pasted or dropped. */
export function pasteHandlers(
  session: PostSession,
  editor: () => Editor,
): Pick<EditorProps, 'handleDOMEvents' | 'handleDrop' | 'handleTextInput'> {
  const take = (view: EditorView, event: ClipboardEvent): boolean => {
    const data = event.clipboardData;
    if (!data || !view.editable) return false;
    const html = data.getData('text/html');
    const text = data.getData('text/plain');
    const pictures = [...data.files].filter((file) => file.type.startsWith('image/'));
    // A word processor puts a picture of the text beside the text itself.
    if (pictures.length && !text.trim()) {
      attempt(insertPictures(session.siteId, editor(), pictures));
      return true;
    }
    const below = belowSelectedBlock(view.state);
    if (below) view.dispatch(below);
    // Copied within the editor: structure and ids are known to it.
    if (html.includes('data-pm-slice') && !FORGED.test(html)) return false;
    if (view.state.selection.$from.parent.type.name === 'codeBlock') return false;
    try {
      const read = readClipboard({ html, text }, nextId);
      if (read) return pasteDraft(session, view, read);
    } catch (error) {
      if (!(error instanceof UnreadableFile)) throw error;
      toast.error(`What you pasted ${error.message}`, { duration: 12_000 });
      return true;
    }
    return false;
  };
  return {
    handleDOMEvents: {
      // Before the editor itself looks at what is pasted: it would build all of it first.
      paste(view, event) {
        const taken = take(view, event);
        if (taken) event.preventDefault();
        return taken;
      },
    },
    handleDrop(view, event) {
      // What is dragged within the sheet is moved by the editor, though the browser offers it as a file too.
      if (view.dragging || !view.editable) return false;
      const pictures = [...(event.dataTransfer?.files ?? [])].filter((file) =>
        file.type.startsWith('image/'),
      );
      if (pictures.length === 0) return false;
      event.preventDefault();
      attempt(insertPictures(session.siteId, editor(), pictures, { at: betweenBlocks(view, event) }));
      return true;
    },
    // A picture that is selected as a whole is not overwritten by what is typed next.
    handleTextInput(view, _from, _to, text) {
      const below = belowSelectedBlock(view.state);
      if (!below) return false;
      view.dispatch(below.insertText(text));
      return true;
    },
  };
}

/** The place between two blocks that is meant by a drop: above a line whose upper half is hit, else below it. */
function betweenBlocks(view: EditorView, { clientX, clientY }: DragEvent): number {
  const { doc } = view.state;
  const found = view.posAtCoords({ left: clientX, top: clientY });
  if (!found) return doc.content.size;
  const $at = doc.resolve(found.pos);
  if (!$at.parent.isTextblock) return found.pos;
  const line = view.nodeDOM($at.before());
  if (!(line instanceof HTMLElement)) return found.pos;
  const { top, height } = line.getBoundingClientRect();
  return clientY < top + height / 2 ? $at.before() : $at.after();
}

function pasteDraft(
  session: PostSession,
  view: EditorView,
  { draft: pasted, account, tidied, chatter }: ReadClipboard,
): boolean {
  const { draft, title, account: mended } = cleanPaste(pasted, session.document.fields.title.trim() === '');
  if (draft.blocks.length === 0 && title === null) return false;
  const content = view.state.schema.nodeFromJSON(writeEditor(draft, nextId)).content;
  const [only] = draft.blocks;
  const inline = draft.blocks.length === 1 && only.kind === 'paragraph' && only.path.length === 0;
  const { tr, doc: before } = view.state;
  if (draft.blocks.length) {
    const slice = inline
      ? new Slice(Fragment.from(content.firstChild!.content), 0, 0)
      : new Slice(content, 0, 0);
    const { from, to, $from } = tr.selection;
    // An empty paragraph makes room; otherwise the line is parted at the cursor.
    if (!inline && $from.parent.content.size === 0 && $from.depth === 1)
      tr.replaceWith($from.before(), Math.max($from.after(), to), content);
    else if (inline) tr.replaceSelection(slice);
    else tr.replaceRange(from, to, slice);
  }
  // Pasting over much of the text is a risky step: how it stood is kept.
  const replaced = view.state.selection;
  if (replaced.to - replaced.from >= MUCH) attempt(session.keepVersion('paste'));
  // A step of its own: one undo takes it back and nothing that was typed before.
  const takeBack = session.tracked(() => {
    view.dispatch(closeHistory(tr.scrollIntoView().setMeta('paste', true)));
    if (title === null) return;
    session.setFields({ title });
    // The editor's own steps back and forth take the title along.
    view.dispatch(view.state.tr.setMeta(TITLE_PASTED, { title, before, after: view.state.doc }));
  });
  const cleaned = [...account, ...mended, ...tidied];
  if (cleaned.length) tellAccount(cleaned, takeBack);
  if (chatter.length > 0) offerWithout(session, draft, chatter);
  return true;
}

/** Tells what was cleaned, with the way back; where it is much, in one line that opens. */
function tellAccount(phrases: readonly string[], takeBack: TakeBack): void {
  const id = crypto.randomUUID();
  const tell = (open: boolean): void => {
    const said = createElement(PasteAccount, { phrases, open, onOpen: tell });
    // What was opened is being read.
    offerUndo(said, takeBack, open ? Number.POSITIVE_INFINITY : isLong(phrases) ? 20_000 : 12_000, id);
  };
  tell(false);
}

/** Offers to take lines out that a chat said to whoever asked it. */
function offerWithout(session: PostSession, { blocks }: Draft, ids: readonly string[]): void {
  const lines = blocks.filter(({ id }) => ids.includes(id));
  if (lines.length === 0) return;
  const quoted = lines
    .map(({ text }) => `“${text.length > 50 ? `${text.slice(0, 50)}…` : text}”`)
    .join(' and ');
  const them = lines.length === 1 ? 'it' : 'them';
  toast(`${quoted}: said to you, not to your readers.`, {
    duration: 20_000,
    action: {
      label: `Take ${them} out`,
      onClick: () => {
        // Only lines that still say so.
        const left = session.document.draft.blocks.filter(({ id, text }) =>
          lines.some((line) => line.id === id && line.text === text),
        );
        if (left.length === 0) return;
        const takeBack = session.apply(left.map(({ id }) => ({ kind: 'remove-block', blockId: id })));
        // A post that was left, or is written in another tab, is not changed from here.
        if (session.document.draft.blocks.some(({ id }) => left.some((line) => line.id === id))) {
          toast(`Nothing was taken out: open the post where it is written and take ${them} out there.`);
          return;
        }
        offerUndo(`${left.length === 1 ? 'A line is' : `${left.length} lines are`} out.`, takeBack);
      },
    },
  });
}
