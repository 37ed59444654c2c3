import { type EditorState, TextSelection } from '@tiptap/pm/state';
import { describe, expect, it } from 'vitest';
import {
  type Draft,
  type EditorNode,
  footnotesOf,
  readEditor,
  writeMarkdownBody,
} from '../../../../../core/draft/index.ts';
import { footnoteAdded, lineEmbedded } from './put-in.ts';
import { schema, sheet } from './sheet.test-data.ts';

const draftOf = (state: EditorState): Draft =>
  readEditor(state.doc.toJSON() as EditorNode, () => crypto.randomUUID());

/** The sheet after a footnote was put in and words were typed into it. */
function noted(state: EditorState, words: string): EditorState {
  const step = footnoteAdded(state, crypto.randomUUID());
  const next = state.apply(step!);
  return next.apply(next.tr.insertText(words));
}

describe('a footnote put in at the caret', () => {
  it('stands at the end, and what is typed next stands in it', () => {
    const after = noted(sheet('High water| at noon.\n\nThen it falls.'), 'In May.');
    expect(writeMarkdownBody(draftOf(after))).toBe(
      'High water[^1] at noon.\n\nThen it falls.\n\n[^1]: In May.\n',
    );
  });
  it('joins those that are there, wherever their list stands', () => {
    const first = noted(sheet('One| and two.'), 'First.');
    // The writer went on below the list.
    const { tr } = first;
    tr.insert(first.doc.content.size, schema.nodes['paragraph'].create(null, schema.text('Below it.')));
    const below = first.apply(tr);
    const end = below.doc.content.size - 1;
    const second = noted(below.apply(below.tr.setSelection(TextSelection.create(below.doc, end))), 'Second.');
    const draft = draftOf(second);
    expect(footnotesOf(draft).numbers.size).toBe(2);
    const text = writeMarkdownBody(draft);
    expect(text).toContain('One[^1] and two.');
    expect(text).toContain('Below it.[^2]');
    expect(text).toContain('[^1]: First.');
    expect(text).toContain('[^2]: Second.');
  });
  it('is not put into code, nor into a note', () => {
    expect(footnoteAdded(sheet('```\nlet a|b;\n```'), 'n')).toBeNull();
    expect(footnoteAdded(noted(sheet('One|.'), 'First.'), 'n')).toBeNull();
  });
});

describe('a line that is an address', () => {
  const embedded = (md: string) => {
    const state = sheet(md);
    const step = lineEmbedded(state);
    return (
      step && draftOf(state.apply(step)).blocks.map(({ kind, text, embed }) => [kind, embed?.href ?? text])
    );
  };
  it('becomes an embed, with an empty line below', () =>
    expect(embedded('Before.\n\n<https://clips.example/a.mp4>|')).toEqual([
      ['paragraph', 'Before.'],
      ['embed', 'https://clips.example/a.mp4'],
      ['paragraph', ''],
    ]));
  it('leaves what stands behind it on the line below', () =>
    expect(embedded('<https://clips.example/a.mp4>|And on.')).toEqual([
      ['embed', 'https://clips.example/a.mp4'],
      ['paragraph', 'And on.'],
    ]));
  it.each([
    'See <https://clips.example/a.mp4>|',
    '<https://tide.example/table>|',
    '## <https://clips.example/a.mp4>|',
    'a|',
  ])('is none here: %s', (md) => expect(embedded(md)).toBeNull());
});
