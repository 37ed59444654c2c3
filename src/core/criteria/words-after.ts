import type { Block, PostDocument } from '../draft/index.ts';
import { applyEdits, type DraftEdit } from './edits.ts';

/** Characters shown on each side of what changes. */
const AROUND = 40;

/**
 * The words that will stand where a fix changes something, with a little of what is around them: a field's value, a changed
 * stretch of a block, the blocks that come for another. Empty where nothing of it is words (a level, a link).
 */
export function wordsAfter(document: PostDocument, edits: readonly DraftEdit[]): string {
  const [first] = edits;
  if (!first) return '';
  if (first.kind === 'set-field') return typeof first.value === 'string' ? first.value : '';
  if (first.kind === 'add-own-figure') return '';
  if (first.kind === 'set-picture') return first.picture.alt ?? '';
  const before = document.draft.blocks.find(({ id }) => id === first.blockId);
  if (!before) return '';
  if (first.kind === 'remove-block') return '';
  if (first.kind === 'replace-block') return first.blocks.map(({ text }) => text).join(' · ');
  if (first.kind === 'split-block')
    return `${clipped(before.text.slice(0, first.at).trimEnd(), 'start')} ¶ ${clipped(before.text.slice(first.at), 'end')}`;
  if (first.kind !== 'replace-text') return '';
  const after = applyEdits(
    document,
    edits.filter((edit) => 'blockId' in edit && edit.blockId === first.blockId),
  );
  const changed = after.draft.blocks.find(({ id }) => id === first.blockId);
  return changed ? around(before, changed) : '';
}

/** What differs between two states of a block, in whole words, with some of what stands around it. */
function around(before: Block, after: Block): string {
  const [a, b] = [before.text, after.text];
  const shared = Math.min(a.length, b.length);
  let head = 0;
  while (head < shared && a[head] === b[head]) head += 1;
  let tail = 0;
  while (tail < shared - head && a[a.length - 1 - tail] === b[b.length - 1 - tail]) tail += 1;
  const middle = b.slice(head, b.length - tail);
  const change =
    middle.length > 3 * AROUND ? `${clipped(middle, 'end')} … ${clipped(middle, 'start')}` : middle;
  return `${clipped(b.slice(0, head), 'start')}${change}${clipped(b.slice(b.length - tail), 'end')}`
    .replace(/\s+/g, ' ')
    .trim();
}

/** A text cut to some characters at the start or at the end of a word. */
function clipped(text: string, side: 'start' | 'end'): string {
  if (text.length <= AROUND) return text;
  if (side === 'start') {
    const cut = text.slice(-AROUND);
    const space = cut.indexOf(' ');
    return `…${space < 0 ? cut : cut.slice(space + 1)}`;
  }
  const cut = text.slice(0, AROUND);
  const space = cut.lastIndexOf(' ');
  return `${space < 0 ? cut : cut.slice(0, space)}…`;
}
