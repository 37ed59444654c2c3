import type { DOMOutputSpec, Node as ProseNode } from '@tiptap/pm/model';
import { blockOfLeaf, cleanDraft, type EditorNode, writeEditor } from '../../../../../core/draft/index.ts';

/** Under which a block that markup cannot say in full lies on the clipboard, beside what other programs understand. */
const WHOLE = 'data-block';
/** Which kind of block it is: several are shown by one element. */
const TYPE = 'data-block-type';

/** Attributes of a block with nothing in them that could run; null where they make no block. */
function cleaned(type: string, attrs: Record<string, unknown>): Record<string, unknown> | null {
  const draft = cleanDraft({ version: 1, blocks: [blockOfLeaf({ type, attrs }, [])] });
  const [node] = writeEditor(draft, () => '').content ?? [];
  return node?.type === type ? { ...node.attrs, blockId: null } : null;
}

/** Markup of a block for the clipboard: all of it for this editor, and what other programs can show of it. */
export const wholeBlock = (node: ProseNode, tag: string, ...shown: DOMOutputSpec[]): DOMOutputSpec => [
  tag,
  { [WHOLE]: encodeURIComponent(JSON.stringify(node.attrs)), [TYPE]: node.type.name },
  ...shown,
];

/** How a block of a type comes back from the clipboard, with everything that it had. */
export const fromClipboard = (type: EditorNode['type'], tag: string) => [
  {
    tag: `${tag}[${WHOLE}][${TYPE}="${type}"]`,
    getAttrs: (element: HTMLElement) => {
      try {
        const attrs: unknown = JSON.parse(decodeURIComponent(element.getAttribute(WHOLE) ?? ''));
        return (attrs && typeof attrs === 'object' && cleaned(type, { ...attrs })) || false;
      } catch {
        // Forged or cut: as if it were not there.
        return false as const;
      }
    },
  },
];
