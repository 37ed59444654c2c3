import { type EditorState, NodeSelection, TextSelection } from '@tiptap/pm/state';
import { describe, expect, it } from 'vitest';
import { sheet } from '../sheet/sheet.test-data.ts';
import {
  belowSelectedBlock,
  blockMoved,
  type PicturePlace,
  picturesPlaced,
  rowSet,
} from './place-pictures.ts';

/** What stands on a sheet, a line for each block, and the caret in it. */
function inWords(state: EditorState): string {
  const lines: string[] = [];
  state.doc.descendants((node, pos) => {
    if (node.type.name === 'figure') lines.push(`[${node.attrs['src']}]`);
    if (!node.isTextblock) return true;
    const { from } = state.selection;
    const within = from > pos && from <= pos + node.content.size + 1 ? from - pos - 1 : -1;
    const text = node.textContent;
    lines.push(within === -1 ? text : `${text.slice(0, within)}|${text.slice(within)}`);
    return false;
  });
  return lines.join(' / ');
}

const placed = (state: EditorState, srcs: string[], place: PicturePlace = { caret: true }) =>
  state.apply(picturesPlaced(state, srcs, place));

describe('pictures put in at the caret', () => {
  it.each([
    ['behind a line', 'Low water.|\n\nHigh water.', 'Low water. / [a] / | / High water.'],
    ['at the beginning of a line', 'Low water.\n\n|High water.', 'Low water. / [a] / |High water.'],
    ['within a line', 'Low |water.\n\nHigh water.', 'Low  / [a] / |water. / High water.'],
    ['behind the last line', 'Low water.|', 'Low water. / [a] / |'],
    ['within a heading', '## Low |water', 'Low  / [a] / |water'],
    ['in a list', '- low|\n- high', 'low / [a] / | / high'],
    ['in code', '```\nlow |water\n```', 'low water / [a] / |'],
    ['in a table', '| a | b |\n|---|---|\n| low\\| | x |', 'a / b / low / [a] / | / x'],
  ])('%s', (_where, md, after) => {
    const state = sheet(md);
    const text = state.doc.textContent;
    const next = placed(state, ['a']);
    expect(inWords(next)).toBe(after);
    expect(next.doc.textContent).toBe(text);
    next.doc.check();
  });

  it('take the place of an empty line', () => {
    const state = sheet('Low water.|');
    const split = state.tr.split(state.selection.from);
    const next = placed(state.apply(split), ['a']);
    expect(inWords(next)).toBe('Low water. / [a] / |');
  });

  it('all stay, in order, also those that follow, and what is typed then', () => {
    let state = placed(sheet('Low water.|'), ['a', 'b', 'c']);
    state = placed(state, ['d']);
    state = state.apply(state.tr.insertText('High water.'));
    expect(inWords(state)).toBe('Low water. / [a] / [b] / [c] / [d] / High water.|');
  });

  it('leave what is selected where it is', () => {
    const state = sheet('|Low water.');
    const all = state.apply(state.tr.setSelection(TextSelection.create(state.doc, 1, 11)));
    expect(inWords(placed(all, ['a']))).toBe('Low water. / [a] / |');
  });
});

describe('pictures dropped', () => {
  it('stand between the lines where they were dropped, and the caret below them', () => {
    const state = sheet('One|\n\nTwo\n\nThree');
    // Near the end of the second line.
    expect(inWords(placed(state, ['a', 'b'], { at: 9 }))).toBe('One / Two / [a] / [b] / |Three');
    expect(inWords(placed(state, ['a'], { at: state.doc.content.size }))).toBe('One / Two / Three / [a] / |');
  });
});

describe('a picture that is selected as a whole', () => {
  it('is not replaced by what is typed', () => {
    let state = placed(sheet('Low water.|\n\nHigh water.'), ['a']);
    let at = 0;
    state.doc.descendants((node, pos) => {
      if (node.type.name === 'figure') at = pos;
    });
    state = state.apply(state.tr.setSelection(NodeSelection.create(state.doc, at)));
    const below = belowSelectedBlock(state);
    state = state.apply(below!.insertText('So'));
    expect(inWords(state)).toBe('Low water. / [a] / So| / High water.');
  });
  it('is asked about only where one is', () => expect(belowSelectedBlock(sheet('Low|'))).toBeNull());
});

describe('a picture that is moved past its neighbour', () => {
  const row = placed(sheet('Low water.|\n\nHigh water.'), ['a', 'b', 'c']);
  const atOf = (state: EditorState, src: string) => {
    let found = -1;
    state.doc.descendants((node, pos) => {
      if (node.attrs['src'] === src) found = pos;
    });
    return found;
  };
  it.each<[string, -1 | 1, string]>([
    ['b', -1, 'Low water. / [b] / [a] / [c]'],
    ['b', 1, 'Low water. / [a] / [c] / [b]'],
    ['a', -1, '[a] / Low water. / [b] / [c]'],
  ])('%s by %d', (src, by, after) => {
    const next = row.apply(blockMoved(row, atOf(row, src), by)!);
    expect(inWords(next).replace('|', '').startsWith(after)).toBe(true);
    expect((next.selection as NodeSelection).node.attrs['src']).toBe(src);
  });
  it('stands in a row with those beside it, and by itself again without them', () => {
    const across = (state: EditorState) => {
      const all: unknown[] = [];
      state.doc.descendants((node) => {
        if (node.type.name === 'figure') all.push(node.attrs['across']);
      });
      return all;
    };
    const apart = placed(placed(sheet('Low water.|'), ['a', 'b', 'c']), []);
    const three = apart.apply(rowSet(apart, atOf(apart, 'b'), 3));
    expect(across(three)).toEqual([3, 3, 3]);
    expect(across(three.apply(rowSet(three, atOf(three, 'c'), null)))).toEqual([3, 3, null]);
  });
  it('stays where it has none', () => {
    const alone = row.apply(blockMoved(row, atOf(row, 'a'), -1)!);
    expect(blockMoved(alone, atOf(alone, 'a'), -1)).toBeNull();
  });
});
