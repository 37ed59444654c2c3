import type { Element, Root } from 'hast';
import { type Block, isNoteRef, noteOf, noteRef } from './draft.ts';
import { elementsIn } from './hast-changing.ts';
import { attribute, classNames } from './hast-reading.ts';

/** Ids of items that hold footnotes, as converters of documents write them. */
const NOTE_ID = /^(?:user-content-)?(?:fn|footnote|endnote)[-_:]?\w{1,40}$/i;

const isNoteSection = (el: Element): boolean =>
  classNames(el).some((name) => name === 'footnotes' || name === 'endnotes') ||
  attribute(el, 'role') === 'doc-endnotes' ||
  attribute(el, 'dataFootnotes') !== undefined;

/** The ids of the list items that hold footnotes: those of a section of notes, and those whose id says so. */
export function noteIdsIn(root: Root | Element): ReadonlySet<string> {
  const sections = new Set<unknown>();
  const ids = new Set<string>();
  const referred = new Set<string>();
  const items: { id: string; said: boolean }[] = [];
  for (const { el, parent } of elementsIn(root)) {
    if (sections.has(parent) || isNoteSection(el)) sections.add(el);
    if (el.tagName === 'a') {
      const href = attribute(el, 'href') ?? '';
      if (href.startsWith('#') && !sections.has(el)) referred.add(href.slice(1));
    }
    const id = el.tagName === 'li' ? attribute(el, 'id') : undefined;
    if (id) items.push({ id, said: sections.has(el) || NOTE_ID.test(id) });
  }
  for (const { id, said } of items) if (said && referred.has(id)) ids.add(id);
  return ids;
}

/** A block whose references to footnotes lead to the blocks that were read of them. */
export function leadingToNotes(block: Block, blockOfId: ReadonlyMap<string, string>): Block {
  if (blockOfId.size === 0 || !block.marks.some(({ href }) => href !== undefined && isNoteRef(href)))
    return block;
  const marks = block.marks.map((mark) => {
    const note =
      mark.href !== undefined && isNoteRef(mark.href) ? blockOfId.get(noteOf(mark.href)) : undefined;
    return note === undefined ? mark : { ...mark, href: noteRef(note) };
  });
  return { ...block, marks };
}
