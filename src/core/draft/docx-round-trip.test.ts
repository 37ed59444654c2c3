import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDraft } from './draft-arbitrary.test-data.ts';
import { type Block, type Draft, embedKindInWords, emptyFields, tidyMarks, writeDocx } from './index.ts';
import { readDocx } from './read-docx.ts';

/** One pixel. */
const PNG = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg=='),
  (char) => char.charCodeAt(0),
);
const PICTURE = 'media/loaded-bike.webp';

const throughDocx = async (draft: Draft): Promise<Block[]> => {
  const document = { fields: emptyFields(), draft };
  const { bytes } = await writeDocx(document, new Map([[PICTURE, PNG]]));
  return (await readDocx(bytes)).draft.blocks;
};

/**
 * What a word processor has an element for: the address of a picture, its side and whether it opens large, and the language
 * of code are not among it, nor where lists stop, nor how a link opens; an embed is a link; a picture that says it is there for ornament has no alternative text; code below code is one; a quote holds paragraphs alone.
 */
function asHeld(blocks: readonly Block[]): unknown[] {
  const out: Record<string, unknown>[] = [];
  for (const { kind, level, path, text, marks: given, image, embed, step } of blocks) {
    if (kind === 'more') continue;
    const marks = tidyMarks(
      given.map(({ nofollow: _f, newWindow: _w, ...mark }) => mark),
      given.length > 0 ? text : '',
    );
    // A paragraph has one style: what has one of its own cannot be a quote beside it.
    const held =
      embed || (kind === 'paragraph' && !step) ? path : path.filter((part) => part.type !== 'quote');
    const places = held.map((part) => [
      part.type,
      ...(part.type === 'list' ? [part.ordered] : part.type === 'cell' ? [part.header] : []),
    ]);
    const last = out.at(-1);
    if (
      kind === 'code' &&
      last?.['kind'] === 'code' &&
      JSON.stringify(last['places']) === JSON.stringify(places)
    ) {
      last['text'] = `${last['text']}\n${text}`;
      continue;
    }
    if (embed) {
      const words = `${embedKindInWords(embed.kind)}: ${text || embed.href}`;
      const link = { type: 'link', start: 0, end: words.length, href: embed.href };
      out.push({ kind: 'paragraph', level, places, text: words, marks: [link], step });
      continue;
    }
    out.push({ kind, level, places, text, marks, step, ...(image ? { alt: image.alt || null } : {}) });
  }
  return out;
}

describe('a .docx file', () => {
  it('holds headings, text with its marks, lists, tables with header cells, quotes, code, dividers, pictures with captions', async () => {
    await fc.assert(
      fc.asyncProperty(anyDraft, async (draft) => {
        expect(asHeld(await throughDocx(draft))).toEqual(asHeld(draft.blocks));
      }),
      { numRuns: 60 },
    );
  });
});
