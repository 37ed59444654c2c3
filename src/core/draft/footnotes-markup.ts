import type { Element, ElementContent, Root } from 'hast';
import { type Block, isNoteRef, noteOf, noteRef } from './draft.ts';
import { drop, elementsIn, isBetween, make, type Parent } from './hast-changing.ts';
import { attribute, classNames, textOf } from './hast-reading.ts';

/** Ids of items that hold footnotes, as converters of documents write them. */
const NOTE_ID = /^(?:user-content-)?(?:fn|footnote|endnote)[-_:]?\w{1,40}$/i;

const isNoteSection = (el: Element): boolean =>
  classNames(el).some((name) => name === 'footnotes' || name === 'endnotes') ||
  attribute(el, 'role') === 'doc-endnotes' ||
  attribute(el, 'dataFootnotes') !== undefined;

const isNote = (el: Element): boolean =>
  /^(?:div|aside|p)$/.test(el.tagName) &&
  classNames(el).includes('footnote') &&
  attribute(el, 'id') !== undefined;

const isNoteTerms = (el: Element): boolean => el.tagName === 'dl' && classNames(el).includes('footnote');

/** The number of a note as it stands before its words: what leads back, and what stands around it. */
const isLabel = (el: Element, notes: ReadonlySet<string>): boolean =>
  classNames(el).some((name) => name === 'label' || name === 'fn-bracket' || name === 'fn-backref') ||
  (el.tagName === 'a' &&
    (attribute(el, 'href') ?? '').startsWith('#') &&
    !notes.has((attribute(el, 'href') ?? '').slice(1)) &&
    /^\s*[[(]?\w{1,4}[\])]?\s*$/.test(textOf(el)));

function noteItem(id: string, children: ElementContent[], notes: ReadonlySet<string>): Element {
  const item = make('li', children, { id });
  drop(item, (el) => isLabel(el, notes));
  return item;
}

/** The items that a sibling holds, where it is a note or several; null for anything else. */
function noteItemsOf(node: Parent['children'][number], notes: ReadonlySet<string>): Element[] | null {
  if (node.type !== 'element') return null;
  if (isNote(node)) return [noteItem(attribute(node, 'id')!, node.children, notes)];
  if (!isNoteTerms(node)) return null;
  const items: Element[] = [];
  let id: string | undefined;
  for (const child of node.children) {
    if (child.type !== 'element') continue;
    if (child.tagName === 'dt') id = attribute(child, 'id');
    else if (child.tagName === 'dd' && id !== undefined) {
      items.push(noteItem(id, child.children, notes));
      id = undefined;
    }
  }
  return items;
}

const nameOf = (el: Element): string => attribute(el, 'id') ?? attribute(el, 'name') ?? '';
const targetOf = (el: Element): string => /^#(.+)/.exec(attribute(el, 'href') ?? '')?.[1] ?? '';

/** Whether nothing stands before an element in what it stands in. */
const isFirstIn = (parent: Parent, el: Element): boolean =>
  parent.children.find((child) => !isBetween(child)) === el;

const opensItsLine = ({ el, parent }: { el: Element; parent: Parent }): boolean =>
  parent.type === 'element' && parent.tagName === 'p' && isFirstIn(parent, el);

/**
 * Paragraphs that begin with a link to a place of the text that links to it: notes, as word processors write them. Their ids
 * and classes become those of notes, the link goes.
 */
function markMutualNotes(root: Root): void {
  const anchors = elementsIn(root).filter(
    ({ el }) => el.tagName === 'a' && targetOf(el) !== '' && nameOf(el) !== '',
  );
  if (anchors.length < 2) return;
  const byName = new Map(anchors.map((anchor) => [nameOf(anchor.el), anchor]));
  for (const { el, parent } of anchors) {
    const reference = byName.get(targetOf(el));
    if (!reference || reference.el === el || targetOf(reference.el) !== nameOf(el)) continue;
    if (!opensItsLine({ el, parent }) || parent.type !== 'element') continue;
    if (!/^\s*[[(]?\w{1,4}[\])]?\s*$/.test(textOf(el)) || opensItsLine(reference)) continue;
    parent.properties = { ...parent.properties, id: nameOf(el), className: ['footnote'] };
    parent.children = parent.children.filter((child) => child !== el);
  }
}

/**
 * Footnotes that stand as blocks of their own, each with its number before it (documentation tools and converters write them so),
 * made items of a list as others write them. Changes the tree.
 */
export function listFootnotes(root: Root): void {
  markMutualNotes(root);
  const parents = new Set<Parent>();
  const notes = new Set<string>();
  for (const { el, parent } of elementsIn(root)) {
    if (isNote(el) || isNoteTerms(el)) parents.add(parent);
    if (isNote(el)) notes.add(attribute(el, 'id')!);
    if (parent.type === 'element' && isNoteTerms(parent) && el.tagName === 'dt')
      notes.add(attribute(el, 'id') ?? '');
  }
  for (const parent of parents) {
    const children: Root['children'] = [];
    let open: Element[] | null = null;
    for (const child of parent.children) {
      const items = noteItemsOf(child, notes);
      if (items === null) {
        if (!isBetween(child)) open = null;
        children.push(child);
      } else if (open) open.push(...items);
      else {
        // What follows at once goes into the same list.
        open = items;
        const list = make('ol', open);
        children.push(make('section', [list], { className: ['footnotes'] }));
      }
    }
    parent.children = children as never;
    // What holds nothing but notes is no remark beside the text.
    if ('tagName' in parent && parent.tagName === 'aside') parent.tagName = 'div';
  }
}

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
