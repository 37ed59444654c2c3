import { countingIds, type NextId } from './draft.ts';
import { emptyFields, type PostDocument } from './post-fields.ts';

/** Lines that begin something of their own: a point of a list, a line set in, a quoted line. */
const OWN_LINE = /\n(?=[ \t]*(?:[-*+•·◦▪▫■□●○⁃‣–>]|\d{1,3}[.)])[ \t])/;

/**
 * Reads plain text: what stands between blank lines is one paragraph. Lines were broken to fit a width, so a line end
 * inside one is a space; only points of a list keep their lines.
 */
export function readText(text: string, nextId: NextId = countingIds()): PostDocument {
  const blocks = text
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?|\u2028|\u2029/g, '\n')
    .split(/\n[ \t]*\n\s*/)
    .map((part) =>
      part
        .replace(/^\s+|\s+$/g, '')
        .split(OWN_LINE)
        .map((line) => line.replace(/\s+/g, ' ').trim())
        .join('\n'),
    )
    .filter((part) => part !== '')
    .map((part) => ({ id: nextId(), kind: 'paragraph' as const, path: [], text: part, marks: [] }));
  return { fields: emptyFields(), draft: { version: 1, blocks } };
}
