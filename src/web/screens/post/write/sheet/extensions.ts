import { type Editor, Extension, Mark, Node } from '@tiptap/core';
import Code from '@tiptap/extension-code';
import { TableKit } from '@tiptap/extension-table';
import { Placeholder } from '@tiptap/extensions';
import { closeHistory } from '@tiptap/pm/history';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { ReactNodeViewRenderer } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { NOTE_SIGN, STEP_LOOKS, safeHref } from '../../../../../core/draft/index.ts';
import { fromClipboard, wholeBlock } from './clipboard.ts';
import { EmbedView } from './embed-view.tsx';
import { FigureView } from './figure-view.tsx';
import { focusedChain } from './focused-chain.ts';
import { KeptView } from './kept-view.tsx';
import { noteNumbers } from './note-numbers.ts';
import { addFootnote, lineEmbedded } from './put-in.ts';

/** Nodes that are blocks of the draft: each has an id of its own. */
const BLOCKS = ['paragraph', 'heading', 'codeBlock', 'horizontalRule', 'figure', 'embed', 'more', 'kept'];

/** Gives every block an id that survives edits, and renews doubles after a split or paste. */
const BlockIds = Extension.create({
  name: 'blockIds',
  addGlobalAttributes: () => [
    {
      types: BLOCKS,
      attributes: {
        blockId: {
          default: null,
          keepOnSplit: false,
          // Through the clipboard too: what is cut and put in elsewhere is the same block, and a footnote's number leads to it.
          parseHTML: (element) =>
            /^[\w-]{1,80}$/.exec(element.getAttribute('data-block-id') ?? '')?.[0] ?? null,
          renderHTML: ({ blockId }) => (blockId ? { 'data-block-id': blockId } : {}),
        },
      },
    },
  ],
  addProseMirrorPlugins: () => [
    new Plugin({
      key: new PluginKey('blockIds'),
      appendTransaction(transactions, before, { doc, tr }) {
        if (doc === before.doc || !transactions.some((transaction) => transaction.docChanged)) return null;
        const seen = new Set<string>();
        let changed = false;
        doc.descendants((node, at) => {
          if (!BLOCKS.includes(node.type.name)) return true;
          const id = node.attrs['blockId'] as string | null;
          if (id && !seen.has(id)) seen.add(id);
          else {
            const fresh = crypto.randomUUID();
            seen.add(fresh);
            tr.setNodeAttribute(at, 'blockId', fresh);
            changed = true;
          }
          return false;
        });
        return changed ? tr.setMeta('addToHistory', false) : null;
      },
    }),
  ],
});

/** A picture with its caption. */
const Figure = Node.create({
  name: 'figure',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({
    src: { default: '' },
    alt: { default: null },
    caption: { default: '' },
    side: { default: null },
    across: { default: null },
    width: { default: null },
    link: { default: null },
    enlarge: { default: false },
  }),
  parseHTML: () => fromClipboard('figure', 'figure'),
  renderHTML: ({ node }) =>
    wholeBlock(
      node,
      'figure',
      ['img', { src: node.attrs['src'], alt: node.attrs['alt'] ?? undefined }],
      ['figcaption', node.attrs['caption']],
    ),
  addNodeView: () =>
    ReactNodeViewRenderer(FigureView, {
      // Pictures of a row stand side by side on the sheet too.
      attrs: ({ node }) => ({ 'data-across': String(node.attrs['across'] ?? '') }),
    }),
});

/** Something that plays or shows elsewhere. A line that is nothing but its address becomes one at Enter. */
const Embed = Node.create({
  name: 'embed',
  group: 'block',
  atom: true,
  draggable: true,
  addAttributes: () => ({
    href: { default: '' },
    kind: { default: 'page' },
    title: { default: '' },
    picture: { default: null },
    transcript: { default: null },
  }),
  parseHTML: () => fromClipboard('embed', 'figure'),
  renderHTML: ({ node }) =>
    wholeBlock(node, 'figure', [
      'a',
      { href: node.attrs['href'] },
      node.attrs['title'] || node.attrs['href'],
    ]),
  addNodeView: () => ReactNodeViewRenderer(EmbedView),
  addKeyboardShortcuts: () => ({
    Enter: ({ editor }) => {
      const step = lineEmbedded(editor.state);
      if (step) editor.view.dispatch(closeHistory(step));
      return step !== null;
    },
  }),
});

const MORE = 'Lists show the post down to here';

/** Down to here lists show the post. */
const More = Node.create({
  name: 'more',
  group: 'block',
  atom: true,
  selectable: true,
  parseHTML: () => fromClipboard('more', 'div'),
  renderHTML: ({ node }) => wholeBlock(node, 'div', ['p', MORE]),
  addNodeView:
    () =>
    ({ node }) => {
      const dom = document.createElement('div');
      dom.className = 'more-mark';
      dom.textContent = MORE;
      dom.dataset['kind'] = node.type.name;
      return { dom };
    },
});

/** The number by which a text refers to a footnote. */
const NoteRef = Node.create({
  name: 'noteRef',
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes: () => ({ href: { default: '', rendered: false } }),
  parseHTML: () => [
    {
      tag: 'sup[data-note-ref]',
      // Before superscript words.
      priority: 60,
      getAttrs: (element: HTMLElement) => {
        const href = element.getAttribute('data-note-ref') ?? '';
        return /^#fn-[\w-]{1,80}$/.test(href) ? { href } : false;
      },
    },
  ],
  renderHTML: ({ node }) => ['sup', { 'data-note-ref': node.attrs['href'], class: 'note-ref' }],
  renderText: () => NOTE_SIGN,
  addProseMirrorPlugins() {
    return [noteNumbers((blockId) => leadTo(this.editor, blockId))];
  },
  addKeyboardShortcuts: () => ({
    'Mod-Alt-f': ({ editor }) => {
      addFootnote(editor);
      return true;
    },
  }),
});

/** Sets the caret at the end of a block. */
function leadTo(editor: Editor, blockId: string): void {
  editor.state.doc.descendants((node, at) => {
    if (node.attrs['blockId'] !== blockId) return true;
    focusedChain(editor)
      .setTextSelection(at + 1 + node.content.size)
      .scrollIntoView()
      .run();
    return false;
  });
}

/** What links say of how they are followed and opened, and which paragraphs lead to the next step. */
const MoreAttributes = Extension.create({
  name: 'moreAttributes',
  addGlobalAttributes: () => [
    {
      types: ['link'],
      attributes: {
        nofollow: said('data-nofollow'),
        newWindow: said('data-new-window'),
      },
    },
    {
      types: ['paragraph'],
      attributes: {
        step: {
          default: null,
          keepOnSplit: false,
          parseHTML: (element) =>
            STEP_LOOKS.find((look) => look === element.getAttribute('data-step')) ?? null,
          renderHTML: ({ step }) => (step ? { 'data-step': step } : {}),
        },
      },
    },
  ],
});

/** An attribute that is there or not. */
function said(name: string) {
  const key = name === 'data-nofollow' ? 'nofollow' : 'newWindow';
  return {
    default: false,
    parseHTML: (element: HTMLElement) => element.hasAttribute(name),
    renderHTML: (attributes: Record<string, unknown>) => (attributes[key] ? { [name]: '' } : {}),
  };
}

/** Markup that is kept as it came. */
const Kept = Node.create({
  name: 'kept',
  group: 'block',
  atom: true,
  addAttributes: () => ({ html: { default: '' }, embeds: { default: [] } }),
  parseHTML: () => fromClipboard('kept', 'div'),
  renderHTML: ({ node }) => wholeBlock(node, 'div', node.attrs['html']),
  addNodeView: () => ReactNodeViewRenderer(KeptView),
});

const Superscript = Mark.create({
  name: 'superscript',
  parseHTML: () => [{ tag: 'sup' }],
  renderHTML: () => ['sup', 0],
});
const Subscript = Mark.create({
  name: 'subscript',
  parseHTML: () => [{ tag: 'sub' }],
  renderHTML: () => ['sub', 0],
});

/** The editor's schema and manners. */
export const extensions = [
  StarterKit.configure({
    code: false,
    link: {
      openOnClick: false,
      autolink: true,
      isAllowedUri: (uri) => safeHref(uri) !== null,
      HTMLAttributes: { rel: null, target: null },
    },
    undoRedo: { depth: 500, newGroupDelay: 600 },
  }),
  // Bold or linked code is known to the draft, so the editor must not refuse it.
  Code.extend({ excludes: '' }),
  TableKit.configure({ table: { resizable: false } }),
  Placeholder.configure({ placeholder: 'Write here, or paste what you have.' }),
  BlockIds,
  Figure,
  Embed,
  More,
  NoteRef,
  MoreAttributes,
  Kept,
  Superscript,
  Subscript,
];
