import type { Editor } from '@tiptap/core';
import { imageName } from '../../../../../core/criteria/index.ts';
import type { Known } from '../../../../../core/writing/index.ts';
import type { AskedAt } from '../../../../state/writing/ask-text.ts';

/** Characters around a picture that go along. */
const AROUND = 600;

/** The picture that is selected, with what stands around it; null: none is. */
function pictureAt({ state }: Editor): Known['picture'] {
  const { doc, selection } = state;
  const node = doc.nodeAt(selection.from);
  if (node?.type.name !== 'figure') return null;
  const { src, caption } = node.attrs as { src: string; caption: string };
  const text = (from: number, to: number) =>
    doc.textBetween(Math.max(0, from), Math.min(doc.content.size, to), '\n', ' ');
  return {
    caption,
    name: imageName(src),
    before: text(selection.from - AROUND, selection.from),
    after: text(selection.from + node.nodeSize, selection.from + node.nodeSize + AROUND),
  };
}

/** Where a text is asked for: the block of the caret, and what is selected, headings with their marks. */
export function askedAt(editor: Editor): AskedAt {
  const { doc, selection } = editor.state;
  const { $to, from, to, empty } = selection;
  let blockId: string | null = null;
  for (let depth = $to.depth; depth >= 0 && blockId === null; depth--)
    blockId = ($to.node(depth).attrs['blockId'] as string | undefined) ?? null;
  const lines: string[] = [];
  if (!empty)
    doc.nodesBetween(from, to, (node, at) => {
      if (!node.isTextblock) return true;
      const words = node.textBetween(
        Math.max(0, from - at - 1),
        Math.min(node.content.size, to - at - 1),
        ' ',
        ' ',
      );
      const marks = node.type.name === 'heading' ? `${'#'.repeat(Number(node.attrs['level']))} ` : '';
      if (words.trim()) lines.push(marks + words.trim());
      return false;
    });
  return { blockId, selection: lines.join('\n\n'), picture: pictureAt(editor) };
}
