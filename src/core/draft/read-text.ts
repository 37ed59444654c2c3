import { countingIds, type NextId } from './draft.ts';
import { emptyFields, type PostDocument } from './post-fields.ts';

/** Reads plain text: blocks of lines between blank lines are paragraphs, line ends inside them are kept. */
export function readText(text: string, nextId: NextId = countingIds()): PostDocument {
  const blocks = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?|\u2028|\u2029/g, '\n')
    .split(/\n[ \t]*\n\s*/)
    .map((part) =>
      part
        .replace(/^\s+|\s+$/g, '')
        .replace(/[ \t]+/g, ' ')
        .replace(/ ?\n ?/g, '\n'),
    )
    .filter((part) => part !== '')
    .map((part) => ({ id: nextId(), kind: 'paragraph' as const, path: [], text: part, marks: [] }));
  return { fields: emptyFields(), draft: { version: 1, blocks } };
}
