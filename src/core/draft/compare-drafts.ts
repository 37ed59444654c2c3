import { diffArrays, diffWordsWithSpace } from 'diff';
import type { Block, Draft } from './draft.ts';
import { embedKindInWords } from './embed-address.ts';

/** A stretch of text with what became of it. */
export interface ComparedPiece {
  text: string;
  change: 'same' | 'out' | 'in';
}

/** One line of a comparison; a side is null where the other has a block that this one has not. */
export interface ComparedRow {
  kind: Block['kind'];
  level?: number;
  /** True where both sides are alike. */
  same: boolean;
  before: ComparedPiece[] | null;
  after: ComparedPiece[] | null;
}

/** What a reader sees of a block: words, or a name for what has none. */
const wordsOf = (block: Block): string => {
  if (block.kind === 'image')
    return `[Picture: ${block.image?.alt || block.image?.src || ''}]${block.text ? ` ${block.text}` : ''}`;
  if (block.kind === 'divider') return '[Line]';
  if (block.kind === 'more') return '[Read more]';
  if (block.kind === 'embed')
    return `[${embedKindInWords(block.embed!.kind)}: ${block.embed!.href}]${block.text ? ` ${block.text}` : ''}`;
  if (block.kind === 'kept') return `[Kept: ${block.html ?? ''}]`;
  return block.text;
};

const looksAlike = (a: Block, b: Block) =>
  a.kind === b.kind && a.level === b.level && wordsOf(a) === wordsOf(b) && a.path.length === b.path.length;

/** Both texts cut into words, with those that went and those that came. */
export function compareTexts(
  before: string,
  after: string,
): { before: ComparedPiece[]; after: ComparedPiece[] } {
  const parts = diffWordsWithSpace(before, after);
  const side = (own: 'added' | 'removed', change: 'in' | 'out') =>
    parts.flatMap((part): ComparedPiece[] => {
      if (part[own]) return [{ text: part.value, change }];
      return part.added || part.removed ? [] : [{ text: part.value, change: 'same' }];
    });
  return { before: side('removed', 'out'), after: side('added', 'in') };
}

const whole = (block: Block, change: ComparedPiece['change']): ComparedPiece[] => [
  { text: wordsOf(block), change },
];

/**
 * Two states of a body side by side: blocks that are alike stand level, a block that changed stands level with what
 * became of it, word by word; the others stand alone.
 */
export function compareDrafts(before: Draft, after: Draft): ComparedRow[] {
  const rows: ComparedRow[] = [];
  let [left, right] = [0, 0];
  const changed = (out: Block[], come: Block[]) => {
    // A block that kept its id is the same block, changed; the rest pair in order where their kinds agree.
    const taken = new Set<Block>();
    const partner = (block: Block) =>
      come.find((other) => other.id === block.id && !taken.has(other)) ??
      come.find(
        (other) => other.kind === block.kind && !taken.has(other) && !out.some(({ id }) => id === other.id),
      );
    let at = 0;
    for (const block of out) {
      const other = partner(block);
      const place = other ? come.indexOf(other) : -1;
      if (!other || place < at) {
        rows.push({
          kind: block.kind,
          level: block.level,
          same: false,
          before: whole(block, 'out'),
          after: null,
        });
        continue;
      }
      for (; at < place; at++) alone(come[at]);
      at = place + 1;
      taken.add(other);
      rows.push({
        kind: other.kind,
        level: other.level,
        same: false,
        ...compareTexts(wordsOf(block), wordsOf(other)),
      });
    }
    for (; at < come.length; at++) alone(come[at]);
  };
  const alone = (block: Block) =>
    rows.push({ kind: block.kind, level: block.level, same: false, before: null, after: whole(block, 'in') });
  let out: Block[] = [];
  for (const part of diffArrays(before.blocks, after.blocks, { comparator: looksAlike })) {
    const count = part.value.length;
    if (part.removed) {
      out = before.blocks.slice(left, left + count);
      left += count;
    } else if (part.added) {
      changed(out, after.blocks.slice(right, right + count));
      out = [];
      right += count;
    } else {
      changed(out, []);
      out = [];
      for (const block of after.blocks.slice(right, right + count))
        rows.push({
          kind: block.kind,
          level: block.level,
          same: true,
          before: whole(block, 'same'),
          after: whole(block, 'same'),
        });
      left += count;
      right += count;
    }
  }
  changed(out, []);
  return rows;
}
