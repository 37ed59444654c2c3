import { Extension, Mark, Node } from '@tiptap/core';
import Code from '@tiptap/extension-code';
import { TableKit } from '@tiptap/extension-table';
import { Placeholder } from '@tiptap/extensions';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { ReactNodeViewRenderer } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { safeHref } from '../../../../../core/draft/index.ts';
import { fromClipboard, wholeBlock } from './clipboard.ts';
import { FigureView } from './figure-view.tsx';
import { KeptView } from './kept-view.tsx';

/** Nodes that are blocks of the draft: each has an id of its own. */
const BLOCKS = ['paragraph', 'heading', 'codeBlock', 'horizontalRule', 'figure', 'kept'];

/** Gives every block an id that survives edits, and renews doubles after a split or paste. */
const BlockIds = Extension.create({
  name: 'blockIds',
  addGlobalAttributes: () => [
    { types: BLOCKS, attributes: { blockId: { default: null, rendered: false, keepOnSplit: false } } },
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
  Kept,
  Superscript,
  Subscript,
];
