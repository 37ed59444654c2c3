import { UnreadableFile } from './unreadable.ts';

/** Quotes and lists within one another, on one line. */
const MAX_CONTAINERS = 100;
/**
 * A reader of Markdown pairs the marks of a paragraph (`*`, `_`, backticks, `[`, `](`) with one another, so its work grows with
 * the square of their number. So many steps are about a second; a post has some thousands.
 */
const MAX_STEPS = 25_000_000;

/**
 * Lines that begin a block (an item, a heading, a paragraph), lines of one paragraph, and headings that are underlined.
 * The reader's work grows with the square of each beyond these; a book has fewer.
 */
const MAX_BLOCKS = 10_000;
const MAX_PARAGRAPH_LINES = 2000;
const MAX_HEADINGS = 3000;
const MAX_UNDERLINES = 1000;
/** Lines, blank ones too, and signs that begin a tag, an escape or a character reference: each costs the reader a step of its own. */
const MAX_LINES = 30_000;
const MAX_PIECES = 12_000;
/** Web and mail addresses and pictures, each of which is found, made a link and read; no post has so many. A line that defines one for use elsewhere costs little. */
const MAX_ADDRESSES = 5000;

const CONTAINER = /^(?:[ \t]*(?:>|[-+*](?=[ \t])|\d{1,9}[.)](?=[ \t])))+/;
/** A line that begins a list item or a definition of an address: what stands before it is not paired with it. */
const BEGINS_ANEW = /^[ \t]*(?:>[ \t]?)*(?:(?:[-+*]|\d{1,9}[.)])[ \t]|\[[^\]]+\]:)/;
const DEFINITION = /^[ \t]*\[[^\]]+\]:/;
const TABLE_RULE = /^[ \t]*\|?[ \t]*:?-+:?[ \t]*(?:\|[ \t]*:?-+:?[ \t]*)*\|?[ \t]*$/;

const HEADING = /^[ \t]*(?:>[ \t]?)*#{1,6}(?:[ \t]|$)/;
const UNDERLINE = /^[ \t]*(?:=+|-+)[ \t]*$/;

const tooMany = (most: number, what: string, line: number): never => {
  throw new UnreadableFile(
    `cannot be read: it holds more than ${most.toLocaleString('en')} ${what} (line ${line}). Split it.`,
  );
};

/**
 * Refuses Markdown whose reading would take work out of all proportion, by what stands in it and never by a clock.
 * Throws {@link UnreadableFile} with the line at fault.
 */
export function checkMarkdown(text: string): void {
  let [steps, marks, begun, inTable] = [0, 0, 1, false];
  let worst = { marks: 0, line: 1 };
  const endChunk = (next: number) => {
    steps += marks * marks;
    if (marks > worst.marks) worst = { marks, line: begun };
    if (steps > MAX_STEPS)
      throw new UnreadableFile(
        `cannot be read: the paragraph at line ${worst.line} holds ${worst.marks.toLocaleString('en')} marks such as * _ and [, more than can be paired. Split it.`,
      );
    marks = 0;
    begun = next;
  };
  let [blocks, headings, underlines, lines, pieces, addresses] = [0, 0, 0, 0, 0, 0];
  const count = (words: string, line: number) => {
    const isHeading = HEADING.test(words);
    const begins = lines === 0 || isHeading || BEGINS_ANEW.test(words);
    const isUnderline = lines > 0 && UNDERLINE.test(words);
    lines = begins ? 1 : isUnderline ? 0 : lines + 1;
    if (begins) blocks += 1;
    if (isHeading) headings += 1;
    if (isUnderline) underlines += 1;
    if (blocks > MAX_BLOCKS) tooMany(MAX_BLOCKS, 'paragraphs, headings and list items', line);
    if (headings > MAX_HEADINGS) tooMany(MAX_HEADINGS, 'headings', line);
    if (underlines > MAX_UNDERLINES) tooMany(MAX_UNDERLINES, 'underlined headings', line);
    if (lines > MAX_PARAGRAPH_LINES) tooMany(MAX_PARAGRAPH_LINES, 'lines in one paragraph', line);
  };
  let at = 0;
  for (let line = 1; at <= text.length; line++) {
    const end = text.indexOf('\n', at);
    const words = text.slice(at, end === -1 ? text.length : end);
    at = end === -1 ? text.length + 1 : end + 1;
    const containers = CONTAINER.exec(words)?.[0].match(/>|[-+*]|\d+[.)]/g)?.length ?? 0;
    if (containers > MAX_CONTAINERS)
      throw new UnreadableFile(
        `cannot be read: its markup is nested too deeply (line ${line} stands in ${containers} quotes and lists; ${MAX_CONTAINERS} are the most). Save a simpler version of it.`,
      );
    if (line > MAX_LINES) tooMany(MAX_LINES, 'lines', line);
    if (words.trim() === '') {
      endChunk(line + 1);
      inTable = false;
      lines = 0;
      continue;
    }
    // Rows of a table are no lines of a paragraph.
    if (inTable) lines = 0;
    else count(words, line);
    // Cells of a table are paired row by row.
    if (inTable || BEGINS_ANEW.test(words)) endChunk(line);
    if (words.includes('|') && TABLE_RULE.test(words)) inTable = true;
    pieces += words.match(/[\\<&](?=\S)/g)?.length ?? 0;
    if (pieces > MAX_PIECES) tooMany(MAX_PIECES, 'tags, escapes and character references', line);
    if (!DEFINITION.test(words)) addresses += words.match(/@(?=\w)|:\/\/|www\.|<(?:img|a)\b/gi)?.length ?? 0;
    if (addresses > MAX_ADDRESSES) tooMany(MAX_ADDRESSES, 'addresses and pictures', line);
    marks += words.match(/[*_]+|`+|\[|\]\(/g)?.length ?? 0;
  }
  endChunk(0);
}
