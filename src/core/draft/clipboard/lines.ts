import { type Block, type Container, type NextId, partOf } from '../draft.ts';
import type { Account } from './account.ts';

/** Parts paragraphs at doubled line breaks: whoever wrote them meant paragraphs. */
export function partedAtBreaks(blocks: readonly Block[], nextId: NextId, account: Account): Block[] {
  return blocks.flatMap((block) => {
    if (block.kind !== 'paragraph' || !/\n\s*\n/.test(block.text)) return [block];
    account.add('parted');
    const parts: Block[] = [];
    let from = 0;
    for (const gap of block.text.matchAll(/\n\s*\n/g)) {
      if (block.text.slice(from, gap.index).trim() !== '')
        parts.push(partOf(block, from, gap.index, parts.length === 0 ? block.id : nextId()));
      from = gap.index + gap[0].length;
    }
    if (block.text.slice(from).trim() !== '')
      parts.push(partOf(block, from, block.text.length, parts.length === 0 ? block.id : nextId()));
    return parts;
  });
}

/** A line that begins with a bullet or with a number and a mark. */
const BULLET = /^([•·◦▪▫■□●○‣⁃*–—-])[ \t\u00a0]{1,20}(?=\S)/u;
const NUMBER = /^\(?(\d{1,3})[.)][ \t\u00a0]{1,20}(?=\S)/;
/** Characters that are nothing but bullets; the others begin lines of speech and of calculation too. */
const PLAIN_BULLET = /[•·◦▪▫■□●○‣⁃]/;

interface Line {
  block: Block;
  start: number;
  end: number;
  /** The bullet, or the number; null: the line begins as any other. */
  mark: { sign: string; number: number; length: number } | null;
}

function markOf(text: string): Line['mark'] {
  const bullet = BULLET.exec(text);
  if (bullet) return { sign: bullet[1], number: 0, length: bullet[0].length };
  const number = NUMBER.exec(text);
  return number ? { sign: '1', number: Number(number[1]), length: number[0].length } : null;
}

function linesOf(block: Block): Line[] {
  const mayList = block.kind === 'paragraph' && block.path.every(({ type }) => type === 'quote');
  if (!mayList) return [{ block, start: 0, end: block.text.length, mark: null }];
  const lines: Line[] = [];
  for (let start = 0; start <= block.text.length; ) {
    const next = block.text.indexOf('\n', start);
    const end = next < 0 ? block.text.length : next;
    lines.push({ block, start, end, mark: markOf(block.text.slice(start, end)) });
    start = end + 1;
  }
  return lines;
}

/** Whether lines in a row are a list: two or more, or one with a plain bullet. */
const isList = ([{ mark }, ...more]: readonly Line[]): boolean =>
  mark !== null && (more.length > 0 || PLAIN_BULLET.test(mark.sign));

/** Whether a line goes on with the list of another: a bullet after a bullet, the next number after a number. */
const goesOn = ({ block, mark }: Line, before: Line): boolean =>
  mark !== null &&
  before.mark !== null &&
  mark.number === (before.mark.number > 0 ? before.mark.number + 1 : 0) &&
  (block === before.block || JSON.stringify(block.path) === JSON.stringify(before.block.path));

/**
 * Makes lists of lines that begin with a bullet or a number; a bullet of another kind below one is nested in it. A paragraph
 * without such a list stays as it is.
 */
export function listedLines(blocks: readonly Block[], nextId: NextId, account: Account): Block[] {
  const taken = new Set<string>();
  // The id of a block that is parted belongs to its first part.
  const idOf = (block: Block): string => {
    const id = taken.has(block.id) ? nextId() : block.id;
    taken.add(id);
    return id;
  };
  return runsOf(blocks).flatMap(({ lines, listed }): Block[] => {
    if (listed) {
      account.add('list', lines.length);
      return listOf(lines, idOf);
    }
    const [{ block, start }] = lines;
    const { end } = lines[lines.length - 1];
    return [start === 0 && end === block.text.length ? block : partOf(block, start, end, idOf(block))];
  });
}

/** Lines in runs: each a list, or lines of one block that are none. */
function runsOf(blocks: readonly Block[]): { lines: Line[]; listed: boolean }[] {
  const lists: Line[][] = [];
  for (const line of blocks.flatMap(linesOf)) {
    const last = lists.at(-1);
    if (last && goesOn(line, last[last.length - 1])) last.push(line);
    else lists.push([line]);
  }
  const runs: { lines: Line[]; listed: boolean }[] = [];
  for (const lines of lists) {
    const listed = isList(lines);
    const last = runs.at(-1);
    if (!listed && last && !last.listed && last.lines[0].block === lines[0].block) last.lines.push(...lines);
    else runs.push({ lines, listed });
  }
  return runs;
}

function listOf(lines: readonly Line[], idOf: (block: Block) => string): Block[] {
  const ordered = lines[0].mark!.number > 0;
  const signs: string[] = [];
  const open: { list: Container; item: Container }[] = [];
  return lines.map(({ block, start, end, mark }) => {
    const id = idOf(block);
    const sign = mark!.sign;
    if (!signs.includes(sign)) signs.push(sign);
    const level = Math.min(signs.indexOf(sign), open.length);
    open.length = Math.min(open.length, level + 1);
    const item: Container = { type: 'item', key: id };
    if (open.length > level) open[level] = { list: open[level].list, item };
    else {
      const first = mark!.number > 1 ? { start: mark!.number } : {};
      open.push({ list: { type: 'list', key: id, ordered, ...first }, item });
    }
    const path = [...block.path, ...open.flatMap(({ list, item }) => [list, item])];
    return { ...partOf(block, start + mark!.length, end, id), path };
  });
}
