import type { Block, Container, Draft, PicturesAcross } from './draft.ts';

/** A draft as a tree, for writers: containers hold containers and blocks. */
export type Nested = { block: Block } | { container: Container; children: Nested[] };

const sameContainer = (a: Container, b: Container) => a.type === b.type && a.key === b.key;

/** Groups the flat list of blocks by their container paths. */
export function nest(draft: Draft): Nested[] {
  const root: Nested[] = [];
  let open: { container: Container; children: Nested[] }[] = [];
  for (const block of draft.blocks) {
    let depth = 0;
    while (
      depth < open.length &&
      depth < block.path.length &&
      sameContainer(open[depth].container, block.path[depth])
    )
      depth += 1;
    open = open.slice(0, depth);
    for (const container of block.path.slice(depth)) {
      const node = { container, children: [] };
      (open.at(-1)?.children ?? root).push(node);
      open.push(node);
    }
    (open.at(-1)?.children ?? root).push({ block });
  }
  return root;
}

/** Pictures that share rows. */
export interface PictureRow {
  row: Block[];
  across: PicturesAcross;
}

/** The nodes with neighbouring pictures that say how many stand in a row put together; a lone one stays by itself. */
export function withPictureRows(nodes: readonly Nested[]): (Nested | PictureRow)[] {
  const out: (Nested | PictureRow)[] = [];
  let open = null as PictureRow | null;
  for (const node of nodes) {
    const across = 'block' in node ? node.block.image?.across : undefined;
    if (!across || !('block' in node)) {
      open = null;
      out.push(node);
    } else if (open?.across === across) open.row.push(node.block);
    else {
      open = { row: [node.block], across };
      out.push(open);
    }
  }
  return out.map((node) => ('row' in node && node.row.length === 1 ? { block: node.row[0] } : node));
}

/** A run of text with the marks that hold over all of it, outermost first. */
export interface Run {
  text: string;
  marks: Block['marks'];
}

/** Cuts a block's text at every edge of a mark and at line breaks (a break is a run of `\n` alone). */
export function runsOf(block: Block): Run[] {
  const edges = new Set([0, block.text.length]);
  for (const mark of block.marks) edges.add(mark.start).add(mark.end);
  for (let at = block.text.indexOf('\n'); at !== -1; at = block.text.indexOf('\n', at + 1))
    edges.add(at).add(at + 1);
  const cuts = [...edges].sort((a, b) => a - b);
  const runs: Run[] = [];
  for (let at = 0; at + 1 < cuts.length; at++) {
    const [start, end] = [cuts[at], cuts[at + 1]];
    runs.push({
      text: block.text.slice(start, end),
      marks: block.marks.filter((mark) => mark.start <= start && mark.end >= end),
    });
  }
  return runs;
}

/** One marked stretch of a run list, for writers whose marks nest. */
export type Inline =
  | { text: string }
  | { break: true }
  | { mark: Block['marks'][number]; children: Inline[] };

/** Nests runs into a tree of marks, keeping the order in which marks are listed. */
export function inlineTree(block: Block): Inline[] {
  const build = (runs: Run[], depth: number): Inline[] => {
    const out: Inline[] = [];
    for (let at = 0; at < runs.length; ) {
      const mark = runs[at].marks[depth];
      if (!mark) {
        out.push(runs[at].text === '\n' ? { break: true } : { text: runs[at].text });
        at += 1;
        continue;
      }
      let end = at;
      while (end < runs.length && runs[end].marks[depth] === mark) end += 1;
      out.push({ mark, children: build(runs.slice(at, end), depth + 1) });
      at = end;
    }
    return out;
  };
  return build(runsOf(block), 0);
}
