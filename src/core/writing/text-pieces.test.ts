import { describe, expect, it } from 'vitest';
import { readable, textPieces } from './index.ts';

describe('a text that is not yet taken', () => {
  it('is parted into paragraphs, and each into what can be taken by itself', () => {
    expect(
      textPieces(
        '## Head\nOne. Two of it.\n\n> Said. — [Who](<https://who.example/a.b>)\n\n- a\n- b\n\n1. c',
      ),
    ).toEqual([
      { markdown: '## Head', kind: 'heading', sentences: ['## Head'] },
      { markdown: 'One. Two of it.', kind: 'paragraph', sentences: ['One.', 'Two of it.'] },
      {
        markdown: '> Said. — [Who](<https://who.example/a.b>)',
        kind: 'quote',
        sentences: ['> Said. — [Who](<https://who.example/a.b>)'],
      },
      { markdown: '- a\n- b', kind: 'list', sentences: ['- a', '- b'] },
      { markdown: '1. c', kind: 'list', sentences: ['1. c'] },
    ]);
    expect(textPieces(' \n\n ')).toEqual([]);
  });
  it('only ever grows at its end while it comes', () => {
    const text = '## Head\n\nOne sentence. Another one.\n\n- a\n- b\n\nThe end.';
    let before = 0;
    for (let end = 1; end <= text.length; end++) {
      const pieces = textPieces(text.slice(0, end));
      expect(pieces.length).toBeGreaterThanOrEqual(before - 0);
      before = pieces.length;
    }
  });
  it('reads without its marks', () =>
    expect(
      readable('> **Bold** and *soft* [words](<https://x.example/>) with \\*stars\\* and 2 * 3 * 4'),
    ).toBe('Bold and soft words with *stars* and 2 * 3 * 4'));
});
