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
  const lines: Line[] = [];
  for (let start = 0; start <= block.text.length; ) {
    const next = block.text.indexOf('\n', start);
    const end = next < 0 ? block.text.length : next;
    lines.push({ block, start, end, mark: markOf(block.text.slice(start, end)) });
    start = end + 1;
  }
  return lines;
}

/** Whether lines in a row are a list: two or more (one with a plain bullet), numbers one after the other. */
function isList(lines: readonly Line[]): boolean {
  const [first] = lines;
  if (first.mark === null) return false;
  if (first.mark.number > 0)
    return (
      lines.length > 1 &&
      lines.every(({ mark }, at) => mark !== null && mark.number === first.mark!.number + at)
    );
  return lines.length > 1 || PLAIN_BULLET.test(first.mark.sign);
}

/** Makes lists of lines that begin with a bullet or a number; a bullet of another kind below one is nested in it. */
export function listedLines(blocks: readonly Block[], nextId: NextId, account: Account): Block[] {
  const out: Block[] = [];
  let run: Line[] = [];
  const end = () => {
    const lines = run;
    run = [];
    if (lines.length === 0) return;
    if (isList(lines)) {
      account.add('list', lines.length);
      out.push(...listOf(lines, nextId));
    } else out.push(...joined(lines));
  };
  for (const block of blocks) {
    const mayList = block.kind === 'paragraph' && block.path.every(({ type }) => type === 'quote');
    if (!mayList || block.text === '') {
      end();
      out.push(block);
      continue;
    }
    const lines = linesOf(block);
    if (!lines.some(({ mark }) => mark)) {
      end();
      out.push(block);
      continue;
    }
    if (run.length > 0 && !sameplace(run[0].block, block)) end();
    let plain: Line[] = [];
    for (const line of lines) {
      const goesOn =
        line.mark !== null && (run.length === 0 || run[0].mark!.number > 0 === line.mark.number > 0);
      if (line.mark && plain.length > 0) {
        out.push(...joined(plain));
        plain = [];
      }
      if (!goesOn) end();
      if (line.mark) run.push(line);
      else plain.push(line);
    }
    if (plain.length > 0) {
      end();
      out.push(...joined(plain));
    }
  }
  end();
  return out;
}

const sameplace = (a: Block, b: Block): boolean => JSON.stringify(a.path) === JSON.stringify(b.path);

/** Lines as the blocks that they were. */
function joined(lines: readonly Line[]): Block[] {
  const parts: Line[] = [];
  for (const line of lines) {
    const last = parts.at(-1);
    if (last?.block === line.block && last.end + 1 === line.start) last.end = line.end;
    else parts.push({ ...line });
  }
  return parts.map(({ block, start, end }) =>
    start === 0 && end === block.text.length ? block : partOf(block, start, end, `${block.id}-${start}`),
  );
}

function listOf(lines: readonly Line[], nextId: NextId): Block[] {
  const ordered = lines[0].mark!.number > 0;
  const signs: string[] = [];
  const open: { list: Container; item: Container }[] = [];
  const used = new Set<string>();
  return lines.map(({ block, start, end, mark }) => {
    // The id of a block that is parted belongs to its first part.
    const id = used.has(block.id) ? nextId() : block.id;
    used.add(block.id);
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
