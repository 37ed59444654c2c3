import type { Editor } from '@tiptap/core';
import { EditorState, type Transaction } from '@tiptap/pm/state';
import { describe, expect, it } from 'vitest';
import {
  type Draft,
  type EditorNode,
  readEditor,
  readMarkdown,
  writeMarkdownBody,
} from '../../../../../core/draft/index.ts';
import { sheet } from './sheet.test-data.ts';
import { blocksTaken } from './take-text.ts';
import { showTextPlace, textPlacePlugin } from './text-place-plugin.ts';

const draftOf = (state: EditorState): Draft =>
  readEditor(state.doc.toJSON() as EditorNode, () => crypto.randomUUID());

/** The sheet with the place of a text that is not yet taken at the caret. */
function placed(md: string): EditorState {
  const { doc, selection } = sheet(md);
  let state = EditorState.create({ doc, selection, plugins: [textPlacePlugin()] });
  const view = { dispatch: (tr: Transaction) => (state = state.apply(tr)) };
  showTextPlace({ state, view } as unknown as Editor, {} as HTMLElement, state.selection.from);
  return state;
}

/** A text as it comes; headings named in `ids` have those. */
function text(md: string, ids: Record<string, string> = {}): Draft {
  const { draft } = readMarkdown(md, () => crypto.randomUUID());
  return { ...draft, blocks: draft.blocks.map((block) => ({ ...block, id: ids[block.text] ?? block.id })) };
}

const idOf = (state: EditorState, words: string) =>
  draftOf(state).blocks.find((block) => block.text === words)!.id;

describe('a text that is taken at its place', () => {
  it('stands after the block of the caret, in the place of an empty line', () => {
    const state = placed('We ride.|\n\nThe end.');
    const after = state.apply(blocksTaken(state, text('The tide turns.\n\nIt waits for nobody.'))!.tr);
    expect(writeMarkdownBody(draftOf(after))).toBe(
      'We ride.\n\nThe tide turns.\n\nIt waits for nobody.\n\nThe end.\n',
    );
  });

  it('takes headings that wait along: each stands once, with its text, wherever it waited', () => {
    const state = placed('## The dyke\n\nWe ride.|\n\n## The ferry\n\n## Home');
    const coming = text('The tide turns.\n\n## The ferry\n\nIt waits.', {
      'The ferry': idOf(state, 'The ferry'),
    });
    const { tr, blockIds } = blocksTaken(state, coming)!;
    const after = state.apply(tr);
    expect(writeMarkdownBody(draftOf(after))).toBe(
      '## The dyke\n\nWe ride.\n\nThe tide turns.\n\n## The ferry\n\nIt waits.\n\n## Home\n',
    );
    expect(idOf(after, 'The ferry')).toBe(idOf(state, 'The ferry'));
    expect(blockIds).toHaveLength(3);
    const before = placed('## The ferry\n\n## The dyke\n\nWe ride.|');
    const moved = text('## The ferry\n\nIt waits.', { 'The ferry': idOf(before, 'The ferry') });
    expect(writeMarkdownBody(draftOf(before.apply(blocksTaken(before, moved)!.tr)))).toBe(
      '## The dyke\n\nWe ride.\n\n## The ferry\n\nIt waits.\n',
    );
  });
});
