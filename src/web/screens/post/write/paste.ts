import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import { Fragment, Slice } from '@tiptap/pm/model';
import type { EditorProps, EditorView } from '@tiptap/pm/view';
import { toast } from 'sonner';
import {
  cleanPaste,
  type Draft,
  looksLikeMarkdown,
  markupAccount,
  readHtml,
  readMarkdown,
  writeEditor,
} from '../../../../core/draft/index.ts';
import { addPicture } from '../../../data/pictures.ts';
import type { PostSession } from '../../../state/post-session.ts';
import { store } from '../../../state/store.ts';

/** What the editor itself never puts on the clipboard. */
const FORGED = /\son[a-z]+\s*=|<(?:script|base|iframe|object|embed|svg|form)\b/i;

/** Characters from which what a paste replaces is kept as a version. */
const MUCH = 200;

const nextId = () => crypto.randomUUID();

/** How the editor takes what is pasted or dropped. */
export function pasteHandlers(
  session: PostSession,
  editor: () => Editor,
): Pick<EditorProps, 'handleDOMEvents' | 'handleDrop'> {
  const take = (view: EditorView, event: ClipboardEvent): boolean => {
    const data = event.clipboardData;
    if (!data || !view.editable) return false;
    const html = data.getData('text/html');
    const text = data.getData('text/plain');
    const pictures = [...data.files].filter((file) => file.type.startsWith('image/'));
    // A word processor puts a picture of the text beside the text itself.
    if (pictures.length && !text.trim()) {
      void insertPictures(session, editor(), pictures);
      return true;
    }
    // Copied within the editor: structure and ids are known to it.
    if (html.includes('data-pm-slice') && !FORGED.test(html)) return false;
    if (view.state.selection.$from.parent.type.name === 'codeBlock') return false;
    if (html) return pasteDraft(session, editor(), view, readHtml(html, nextId).draft, markupAccount(html));
    if (looksLikeMarkdown(text))
      return pasteDraft(session, editor(), view, readMarkdown(text, nextId).draft, [
        'Markdown read as text with headings, lists and links',
      ]);
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
    handleDrop(_view, event) {
      const pictures = [...(event.dataTransfer?.files ?? [])].filter((file) =>
        file.type.startsWith('image/'),
      );
      if (pictures.length === 0) return false;
      event.preventDefault();
      void insertPictures(session, editor(), pictures);
      return true;
    },
  };
}

function pasteDraft(
  session: PostSession,
  editor: Editor,
  view: EditorView,
  pasted: Draft,
  account: string[],
): boolean {
  const before = store.getState().openPost.fields;
  const { draft, title, account: mended } = cleanPaste(pasted, before.title.trim() === '');
  if (draft.blocks.length === 0 && title === null) return false;
  const content = view.state.schema.nodeFromJSON(writeEditor(draft, nextId)).content;
  const [only] = draft.blocks;
  const inline = draft.blocks.length === 1 && only.kind === 'paragraph' && only.path.length === 0;
  const { tr } = view.state;
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
  if (replaced.to - replaced.from >= MUCH) void session.keepVersion('paste');
  // A step of its own: one undo takes it back and nothing that was typed before.
  view.dispatch(closeHistory(tr.scrollIntoView().setMeta('paste', true)));
  if (title !== null) session.setFields({ title });
  const cleaned = [...account, ...mended];
  if (cleaned.length) {
    toast(`Cleaned: ${cleaned.join(', ')}.`, {
      duration: 12_000,
      action: {
        label: 'Undo',
        onClick: () => {
          editor.commands.undo();
          if (title !== null) session.setFields({ title: before.title });
        },
      },
    });
  }
  return true;
}

/** Keeps picture files and puts them where the cursor is. */
export async function insertPictures(
  session: PostSession,
  editor: Editor,
  files: readonly File[],
): Promise<void> {
  for (const file of files) {
    if (!/^image\/(?:png|jpeg|gif|webp|avif)$/.test(file.type)) {
      toast.error(`${file.name} is no picture that a blog can show. Use PNG, JPEG, WebP, AVIF or GIF.`);
      continue;
    }
    try {
      const src = await addPicture(session.siteId, file, file.name || 'picture.png');
      editor
        .chain()
        .focus()
        .insertContent({ type: 'figure', attrs: { src, blockId: nextId() } })
        .run();
    } catch {
      toast.error(`${file.name} could not be kept. The browser's storage may be full.`);
    }
  }
}
