import type { Block, Draft, NextId } from '../draft/index.ts';

/** One heading of an outline. `id` is that of the draft's heading once it was sent there. */
export interface OutlineItem {
  id: string;
  /** 2 to 4. */
  level: number;
  text: string;
  note: string;
}

/** A plan of headings in order; nesting is told by the levels. */
export type Outline = readonly OutlineItem[];

const TOP = 2;
const DEEPEST = 4;

/** Number of items of an item's branch, itself included. */
export function branchLength(outline: Outline, at: number): number {
  let end = at + 1;
  while (end < outline.length && outline[end].level > outline[at].level) end += 1;
  return end - at;
}

/** How deep an item may lie at most: one below the item before it. */
const deepestAt = (outline: Outline, at: number) =>
  at === 0 ? TOP : Math.min(DEEPEST, outline[at - 1].level + 1);

/** Levels put right after a move, so that none skips. */
function settled(outline: readonly OutlineItem[]): OutlineItem[] {
  const out: OutlineItem[] = [];
  for (const item of outline) {
    const level = Math.min(Math.max(item.level, TOP), deepestAt(out, out.length));
    out.push(level === item.level ? item : { ...item, level });
  }
  return out;
}

/** Nests an item with its branch one deeper (+1) or one higher (-1); the same outline where that cannot be. */
export function nestItem(outline: Outline, at: number, by: 1 | -1): Outline {
  const item = outline[at];
  const level = item.level + by;
  if (level < TOP || level > deepestAt(outline, at)) return outline;
  const size = branchLength(outline, at);
  return settled(
    outline.map((other, index) =>
      index >= at && index < at + size ? { ...other, level: Math.min(DEEPEST, other.level + by) } : other,
    ),
  );
}

/** Moves an item with its branch past the branch before (-1) or after (+1) it; the same outline at the ends. */
export function moveItem(outline: Outline, at: number, by: 1 | -1): Outline {
  const size = branchLength(outline, at);
  const branch = outline.slice(at, at + size);
  const rest = outline.toSpliced(at, size);
  if (by === -1) {
    if (at === 0) return outline;
    let to = at - 1;
    while (to > 0 && outline[to].level > outline[at].level) to -= 1;
    return settled(rest.toSpliced(to, 0, ...branch));
  }
  if (at + size >= outline.length) return outline;
  return settled(rest.toSpliced(at + branchLength(outline, at + size), 0, ...branch));
}

/**
 * Moves an item with its branch to where another stands: before it where it comes from below, after its branch where
 * it comes from above; `by` is how many levels deeper (or, negative, higher) it was carried. What cannot be so deep
 * lies as deep as it can.
 */
export function placeItem(outline: Outline, id: string, over: string, by: number): Outline {
  const from = outline.findIndex((item) => item.id === id);
  const size = from < 0 ? 0 : branchLength(outline, from);
  const branch = outline.slice(from, from + size);
  if (from < 0 || (over !== id && branch.some((item) => item.id === over))) return outline;
  const rest = outline.toSpliced(from, size);
  let to = from;
  if (over !== id) {
    const target = rest.findIndex((item) => item.id === over);
    if (target < 0) return outline;
    const downwards = outline.findIndex((item) => item.id === over) > from;
    to = downwards ? target + 1 : target;
  }
  const top = Math.min(Math.max(branch[0].level + by, TOP), deepestAt(rest, to));
  const shift = top - branch[0].level;
  const moved = branch.map((item) => ({ ...item, level: Math.min(DEEPEST, item.level + shift) }));
  return settled(rest.toSpliced(to, 0, ...moved));
}

/** Adds an item after another and its branch, on the same level (at the end, on top, where `after` is null). */
export function addItem(outline: Outline, after: number | null, item: Omit<OutlineItem, 'level'>): Outline {
  if (after === null) return [...outline, { ...item, level: TOP }];
  return outline.toSpliced(after + branchLength(outline, after), 0, { ...item, level: outline[after].level });
}

/** Takes an item out; its children move up. */
export const removeItem = (outline: Outline, at: number): Outline => settled(outline.toSpliced(at, 1));

/** The headings of a draft as an outline, the text below each as its note: for asking what the draft covers. */
export function outlineOfDraft({ blocks }: Draft): Outline {
  const out: OutlineItem[] = [];
  for (const { id, kind, level, text } of blocks) {
    if (kind === 'heading' && (level ?? TOP) >= TOP)
      out.push({
        id,
        level: Math.min(DEEPEST, level ?? TOP),
        text: text.replace(/\s+/g, ' ').trim(),
        note: '',
      });
    else {
      // What stands before the first heading belongs to the whole.
      if (out.length === 0) out.push({ id, level: TOP, text: '', note: '' });
      out[out.length - 1].note += `${text}\n`;
    }
  }
  return out;
}

/** The headings of a draft as an outline; notes of items that are still there are kept, planned ones stay where they were. */
export function outlineFromDraft(draft: Draft, before: Outline): Outline {
  const notes = new Map(before.map((item) => [item.id, item.note]));
  const inDraft = draft.blocks.filter((block) => block.kind === 'heading');
  const known = new Set(inDraft.map((block) => block.id));
  const out: OutlineItem[] = inDraft.map((block) => ({
    id: block.id,
    level: Math.min(DEEPEST, Math.max(TOP, block.level ?? TOP)),
    text: block.text.replace(/\s+/g, ' ').trim(),
    note: notes.get(block.id) ?? '',
  }));
  // Planned headings that the draft does not have stay behind the item they followed.
  before.forEach((item, at) => {
    if (known.has(item.id) || item.text.trim() === '') return;
    const anchor = before
      .slice(0, at)
      .reverse()
      .find((other) => out.some((placed) => placed.id === other.id));
    const place = anchor ? out.findIndex((placed) => placed.id === anchor.id) + 1 : 0;
    out.splice(place, 0, item);
  });
  return settled(out);
}

/** A draft with the outline's headings in it. */
export interface SentOutline {
  draft: Draft;
  added: number;
  renamed: number;
}

/**
 * Puts an outline into a draft as headings. Headings that came from the outline follow its words and levels; new
 * ones are added after the section before them. Nothing that is written is moved, changed or removed.
 */
export function sendOutline(draft: Draft, outline: Outline): SentOutline {
  let blocks: Block[] = [...draft.blocks];
  let added = 0;
  let renamed = 0;
  let place = 0;
  for (const item of outline) {
    if (item.text.trim() === '') continue;
    const at = blocks.findIndex((block) => block.id === item.id);
    if (at >= 0) {
      const block = blocks[at];
      if (block.text !== item.text || block.level !== item.level) {
        renamed += 1;
        blocks[at] =
          block.text === item.text
            ? { ...block, level: item.level }
            : { ...block, level: item.level, text: item.text, marks: [] };
      }
      place = sectionEnd(blocks, at);
    } else {
      // The first heading of all comes after the introduction.
      if (place === 0) place = sectionEnd(blocks, -1);
      blocks = blocks.toSpliced(place, 0, {
        id: item.id,
        kind: 'heading',
        level: item.level,
        path: [],
        text: item.text.trim(),
        marks: [],
      });
      added += 1;
      place += 1;
    }
  }
  return { draft: added + renamed > 0 ? { ...draft, blocks } : draft, added, renamed };
}

/** Where the text under a heading ends: at the next heading outside of any container. */
function sectionEnd(blocks: readonly Block[], at: number): number {
  let end = at + 1;
  while (end < blocks.length && !(blocks[end].kind === 'heading' && blocks[end].path.length === 0)) end += 1;
  return end;
}

/** An empty item. */
export const newItem = (nextId: NextId, text = ''): Omit<OutlineItem, 'level'> => ({
  id: nextId(),
  text,
  note: '',
});
