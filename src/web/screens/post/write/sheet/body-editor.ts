import { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';
import type { Node as ProseNode } from '@tiptap/pm/model';
import type { Transaction } from '@tiptap/pm/state';
import { search } from 'prosemirror-search';
import {
  type Block,
  blockOfLeaf,
  type Draft,
  type EditorNode,
  readEditorTree,
  writeEditor,
} from '../../../../../core/draft/index.ts';
import { commandFor } from '../../../../state/commands.ts';
import type { BodyOwner } from '../../../../state/post/post-in-hand.ts';
import type { PostSession } from '../../../../state/post/post-session.ts';
import { caretInStep } from './caret-in-step.ts';
import { extensions } from './extensions.ts';
import { focusedChain } from './focused-chain.ts';
import { type Ask, insertMenu } from './insert-menu.tsx';
import { notesPlugin } from './notes-plugin.ts';
import { pasteHandlers } from './paste.ts';
import { pastedTitles } from './pasted-titles.ts';
import { textPlacePlugin } from './text-place-plugin.ts';

/** Blocks from which the browser lays out only what is in sight. */
const LONG_DRAFT_BLOCKS = 250;

const nextId = () => crypto.randomUUID();

/** Reads the live document as a draft; blocks whose nodes did not change are the same objects as before. */
class DraftReading {
  private readonly memo = new WeakMap<ProseNode, { place: string; block: Block }>();

  read(doc: ProseNode): Draft {
    return readEditorTree<ProseNode>(doc, {
      type: (node) => node.type.name,
      attrs: (node) => node.attrs,
      children: (node) => node.children,
      leaf: (node, path, place) => {
        const known = this.memo.get(node);
        if (known?.place === place) return known.block;
        const block = blockOfLeaf(node.toJSON() as EditorNode, path);
        this.memo.set(node, { place, block });
        return block;
      },
    });
  }
}

/** A draft without the empty line that the editor keeps at its end. */
function withoutTrailingLine(draft: Draft): Draft {
  const last = draft.blocks.at(-1);
  const empty = last?.kind === 'paragraph' && last.text === '' && last.path.length === 0;
  return empty ? { ...draft, blocks: draft.blocks.slice(0, -1) } : draft;
}

/** The editor of a post's body. It outlives the screen, so that undo holds while the writer walks the trail. */
export class BodyEditor implements BodyOwner {
  readonly editor: Editor;
  /** What the sheet asks of the screen around it; set by the screen while it is shown. */
  ask: (what: Ask) => void = () => {};
  private readonly reading = new DraftReading();
  private known: { doc: ProseNode; draft: Draft } | null = null;
  private placed: { doc: ProseNode; places: Map<string, { node: ProseNode; start: number }> } | null = null;

  constructor(session: PostSession) {
    const pasting = pasteHandlers(session, () => this.editor);
    this.editor = new Editor({
      element: document.createElement('div'),
      extensions: [...extensions, insertMenu((what) => this.ask(what))],
      injectCSS: false,
      content: writeEditor(session.body, nextId),
      editorProps: {
        attributes: ({ doc }) => ({
          class: doc.childCount > LONG_DRAFT_BLOCKS ? 'draft long-draft' : 'draft',
          role: 'textbox',
          'aria-label': 'Draft',
          'aria-multiline': 'true',
          spellcheck: 'true',
        }),
        ...pasting,
        handleDOMEvents: {
          ...pasting.handleDOMEvents,
          mousedown: (view) => caretInStep.mousedown(view),
          // A key that the application has given to one of its own actions is not also the editor's.
          keydown(view, event) {
            caretInStep.keydown(view);
            return commandFor(event) !== null;
          },
        },
      },
      onUpdate: () => {
        // The editor adds an empty line behind a closing picture or heading: that is no change of the text.
        const { blocks } = this.known?.draft ?? { blocks: [] };
        const next = this.read().blocks;
        if (next.length !== blocks.length || next.some((block, at) => block !== blocks[at]))
          session.bodyChanged();
      },
    });
    this.read();
    this.editor.registerPlugin(notesPlugin());
    this.editor.registerPlugin(textPlacePlugin());
    this.editor.registerPlugin(search());
    this.editor.registerPlugin(
      pastedTitles(
        () => session.document.fields.title,
        (title) => session.setFields({ title }),
      ),
    );
    session.lend(this);
  }

  read(): Draft {
    const { doc } = this.editor.state;
    if (this.known?.doc !== doc) this.known = { doc, draft: withoutTrailingLine(this.reading.read(doc)) };
    return this.known.draft;
  }

  /** What the draft would be after a step that is not taken. */
  after(tr: Transaction): Draft {
    return withoutTrailingLine(this.reading.read(tr.doc));
  }

  /** Puts a draft in by replacing only the stretch that differs. */
  replace(draft: Draft, pastHistory = false): void {
    const { state, view } = this.editor;
    const next = state.schema.nodeFromJSON(writeEditor(draft, nextId));
    const start = state.doc.content.findDiffStart(next.content);
    const end = state.doc.content.findDiffEnd(next.content);
    if (start === null || end === null) return;
    // Where the same characters could belong to either side, both ends overlap: give way at the end.
    const overlap = start - Math.min(end.a, end.b);
    const [oldEnd, newEnd] = overlap > 0 ? [end.a + overlap, end.b + overlap] : [end.a, end.b];
    const { tr } = state;
    tr.replace(start, oldEnd, next.slice(start, newEnd));
    view.dispatch(pastHistory ? tr.setMeta('addToHistory', false) : closeHistory(tr));
  }

  setEditable(editable: boolean): void {
    this.editor.setEditable(editable, false);
  }

  destroy(): void {
    this.editor.destroy();
  }

  /** Document position of an offset in a block; null where the block is gone. */
  positionOf(blockId: string, offset: number): { at: number; node: ProseNode; start: number } | null {
    const found = this.places().get(blockId);
    if (!found) return null;
    const { node, start } = found;
    return { ...found, at: node.isTextblock ? start + 1 + Math.min(offset, node.content.size) : start };
  }

  /** Brings a stretch of a block into sight and selects it; nothing where the block is gone. */
  select({ blockId, start, end }: { blockId: string; start: number; end: number }): void {
    const [from, to] = [this.positionOf(blockId, start), this.positionOf(blockId, end)];
    if (!from || !to) return;
    const chain = focusedChain(this.editor);
    if (from.node.isTextblock) chain.setTextSelection({ from: from.at, to: to.at }).scrollIntoView().run();
    else chain.setNodeSelection(from.start).scrollIntoView().run();
  }

  /** Where each block stands: looked up once for every state of the document, however many notes ask. */
  private places(): Map<string, { node: ProseNode; start: number }> {
    const { doc } = this.editor.state;
    if (this.placed?.doc === doc) return this.placed.places;
    const places = new Map<string, { node: ProseNode; start: number }>();
    doc.descendants((node, start) => {
      const id = node.attrs['blockId'] as string | null;
      if (id) places.set(id, { node, start });
      return !node.isTextblock;
    });
    this.placed = { doc, places };
    return places;
  }
}

const editors = new WeakMap<PostSession, BodyEditor>();

/** The one editor of a session. */
export function bodyEditor(session: PostSession): BodyEditor {
  let editor = editors.get(session);
  if (!editor) {
    editor = new BodyEditor(session);
    editors.set(session, editor);
  }
  return editor;
}
