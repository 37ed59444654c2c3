import type { Element, Root } from 'hast';
import { type Block, countingIds, type Draft, type NextId } from '../draft.ts';
import { elementsIn, styleOf } from '../hast-changing.ts';
import { attribute, classNames, findElement } from '../hast-reading.ts';
import { parsePage } from '../parse-html.ts';
import { documentFromTree } from '../read-html.ts';
import { readMarkdown } from '../read-markdown.ts';
import { readText } from '../read-text.ts';
import { safeSrc } from '../sanitise.ts';
import { Account } from './account.ts';
import { fromCells } from './cells.ts';
import { chatterIn } from './chatter.ts';
import { listedLines, partedAtBreaks } from './lines.ts';
import { looksLikeMarkdown } from './markdown-likeness.ts';
import { fromWebEditor } from './web-editor.ts';
import { fromWordProcessor, isWordProcessor } from './word-processor.ts';

/** What was pasted, as blocks. */
export interface ReadClipboard {
  draft: Draft;
  /** What was lost or changed, each a short phrase. */
  account: string[];
  /** Markup that says nothing and stayed behind, in the same way. */
  tidied: string[];
  /** Ids of lines by which a chat speaks to whoever asked it: to be offered for removal. */
  chatter: string[];
}

/**
 * Reads both forms of a paste: markup where there is any and it says more than the plain text, else the text. Null where
 * the text is plain and the editor can take it as it is. Throws `UnreadableFile` for markup beyond measure.
 */
export function readClipboard(
  { html, text }: { html: string; text: string },
  nextId: NextId = countingIds(),
): ReadClipboard | null {
  const account = new Account();
  const blocks = html.trim() === '' ? fromText(text, nextId, account) : fromHtml(html, text, nextId, account);
  if (blocks === null) return null;
  const whole = listedLines(partedAtBreaks(blocks, nextId, account), nextId, account);
  return {
    draft: { version: 1, blocks: whole },
    account: account.changed(),
    tidied: account.tidied(),
    chatter: chatterIn(whole),
  };
}

function fromHtml(html: string, text: string, nextId: NextId, account: Account): Block[] {
  const tree = parsePage(html);
  // A page that shows Markdown as it is written has nothing but lines; their text says more than their markup.
  if (isFlat(tree) && looksLikeMarkdown(text)) {
    account.add('markdown');
    return readMarkdown(text, nextId).draft.blocks;
  }
  countMarkup(html, account);
  countLost(tree, account);
  if (isWordProcessor(tree)) fromWordProcessor(tree, account);
  fromWebEditor(tree, account);
  fromCells(tree, account);
  return documentFromTree(tree, nextId).draft.blocks;
}

/** Whether markup has lines and nothing that gives them a shape. */
const isFlat = (tree: Root): boolean =>
  findElement(tree, (el) =>
    /^(?:h[1-6]|ul|ol|table|blockquote|pre|b|strong|em|i|a|img|figure)$/.test(el.tagName),
  ) === null;

function fromText(text: string, nextId: NextId, account: Account): Block[] | null {
  const cells = tableOf(text, nextId);
  if (cells) {
    account.add('table');
    return cells;
  }
  if (looksLikeMarkdown(text)) {
    account.add('markdown');
    return readMarkdown(text, nextId).draft.blocks;
  }
  // Only where it holds lines of a list: else the editor takes the text as it is.
  const blocks = readText(text, nextId).draft.blocks;
  return listedLines(blocks, countingIds(), new Account()).some(({ path }) => path.length > 0)
    ? blocks
    : null;
}

/** Rows of as many cells, parted by tabs, as a table; null where the text is none. */
function tableOf(text: string, nextId: NextId): Block[] | null {
  const rows = text
    .replace(/\r\n?/g, '\n')
    .replace(/\n+$/, '')
    .split('\n')
    .map((row) => row.split('\t'));
  const width = rows[0].length;
  if (rows.length < 2 || width < 2 || rows.some((row) => row.length !== width)) return null;
  let table = '';
  return rows.flatMap((cells) => {
    let row = '';
    return cells.map((cell): Block => {
      const id = nextId();
      table ||= id;
      row ||= id;
      return {
        id,
        kind: 'paragraph',
        path: [
          { type: 'table', key: table },
          { type: 'row', key: row },
          { type: 'cell', key: id, header: false },
        ],
        text: cell.trim(),
        marks: [],
      };
    });
  });
}

/** What the readers leave behind of markup that says nothing. */
function countMarkup(html: string, account: Account): void {
  // Bounded: what is pasted may be one mark a hundred thousand times.
  const count = (pattern: RegExp) => html.match(pattern)?.length ?? 0;
  account.add(
    'empty',
    count(/<p\b[^<>]*>(?:\s|&nbsp;|<br ?\/?>|<\/?(?:span|o:p|b|i|font)\b[^<>]*>)*<\/p>/gi),
  );
  account.add('style', count(/<(?!html|body|meta)[a-z0-9:]{1,40}\b[^<>]*\sstyle\s?=/gi));
  account.add('span', count(/<(?:span|font|o:p)\b/gi));
}

/** What a draft cannot hold. */
function countLost(tree: Root, account: Account): void {
  for (const { el } of elementsIn(tree)) {
    const tag = el.tagName;
    if (tag === 'a') plainLink(el, account);
    if (tag === 'mark') account.add('highlight');
    if (tag === 'details') account.add('details');
    if (tag === 'svg' || tag === 'canvas') account.add('drawing');
    if (/^(?:input|select|textarea|button)$/.test(tag)) account.add('form');
    if ((tag === 'img' || tag === 'v:imagedata') && isLocal(attribute(el, 'src') ?? ''))
      account.add('picture');
    if (/background(?:-color)?:\s*(?:yellow|#ff0|lime|aqua)/.test(styleOf(el))) account.add('highlight');
  }
}

/** How another page wants its links followed and opened is not carried over. */
function plainLink(el: Element, account: Account): void {
  if (classNames(el, 'rel').includes('nofollow')) account.add('nofollow');
  delete el.properties['rel'];
  delete el.properties['target'];
}

/** An address that leads into the computer or the program it was copied from. */
const isLocal = (src: string): boolean => src !== '' && safeSrc(src) === null;
