import type { Element, Root } from 'hast';
import { drop, elementsIn, styleOf } from '../hast-changing.ts';
import { classNames, findElement, textOf } from '../hast-reading.ts';
import type { Account } from './account.ts';
import { gatherLists, type Item } from './nested-lists.ts';

/** True for markup that a word processor wrote. */
export const isWordProcessor = (tree: Root): boolean =>
  findElement(
    tree,
    (el) =>
      /mso-|text-indent:\s*-/.test(styleOf(el)) ||
      classNames(el).some((name) => name.startsWith('mso')) ||
      /^(?:o|w|v):/.test(el.tagName),
  ) !== null;

/** What a list paragraph bears instead of a bullet or number of its own. */
const BULLET = /^[\s\u00a0]*([·•◦▪▫■□●○§ØüoØ–—-])[\s\u00a0]{1,30}/u;
const NUMBER = /^[\s\u00a0]*\(?(\d{1,3}|[a-z]{1,4})[.)][\s\u00a0]{1,30}/iu;

/** Comments in the margin, their marks in the text, and the list of them at the end. */
const isComment = (el: Element): boolean =>
  classNames(el).some((name) => /^mso(?:commentreference|comanchor|comhide|comtxt|comoff)$/.test(name)) ||
  /mso-element:\s*comment/.test(styleOf(el));

const isDeletion = (el: Element): boolean => el.tagName === 'del' || classNames(el).includes('msodel');

/** Reads the markup of a word processor as it is meant: lists, headings, tables; comments and deletions stay out. */
export function fromWordProcessor(tree: Root, account: Account): void {
  const marked = (name: string) => elementsIn(tree).filter(({ el }) => classNames(el).includes(name)).length;
  // The anchor of a comment stands within its mark, where there is one.
  const comments = marked('msocommentreference') || marked('msocomanchor');
  drop(tree, isComment);
  account.add('comment', comments);
  account.add('deletion', drop(tree, isDeletion));
  for (const { el } of elementsIn(tree)) {
    // What was put in since is text like other text.
    if (el.tagName === 'ins' || classNames(el).includes('msoins')) el.tagName = 'span';
    if (el.tagName === 'p' && classNames(el).includes('msotitle')) el.tagName = 'h1';
    const level = /^msoheading([1-6])$/.exec(
      classNames(el).find((name) => name.startsWith('msoheading')) ?? '',
    );
    if (el.tagName === 'p' && level) el.tagName = `h${level[1]}`;
  }
  const margins = marginsOf(tree);
  for (const { el } of [{ el: tree as unknown as Element }, ...elementsIn(tree)])
    account.add(
      'list',
      gatherLists(el, (child) => itemOf(child, margins)),
    );
}

/** The left margins of paragraphs that look like items, in points, each once, the smallest first. */
function marginsOf(tree: Root): number[] {
  const found = new Set<number>();
  for (const { el } of elementsIn(tree)) if (isSetIn(el)) found.add(marginOf(el));
  return [...found].sort((a, b) => a - b);
}

const UNITS: Record<string, number> = { pt: 1, px: 0.75, in: 72, cm: 28.35, mm: 2.835 };

function marginOf(el: Element): number {
  const found =
    /margin-left:\s*(-?\d{0,6}\.?\d{1,6})(pt|px|in|cm|mm)/.exec(styleOf(el)) ??
    /margin:\s*(?:\S{1,12}\s+){3}(-?\d{0,6}\.?\d{1,6})(pt|px|in|cm|mm)/.exec(styleOf(el));
  return found ? Math.round(Number(found[1]) * UNITS[found[2]]) : 0;
}

const isParagraph = (el: Element): boolean => el.tagName === 'p' || el.tagName === 'div';

/** A first line that hangs out of its paragraph, as bullets and numbers do. */
const isSetIn = (el: Element): boolean =>
  isParagraph(el) && /text-indent:\s*-/.test(styleOf(el)) && markerOf(textOf(el)) !== null;

function markerOf(text: string): { ordered: boolean; number: number; length: number } | null {
  const start = text.slice(0, 60);
  const bullet = BULLET.exec(start);
  if (bullet) return { ordered: false, number: 1, length: bullet[0].length };
  const found = NUMBER.exec(start);
  if (!found) return null;
  return { ordered: true, number: Number.parseInt(found[1], 10) || 1, length: found[0].length };
}

/** A paragraph as an item of a list; null where it is none. */
function itemOf(el: Element, margins: readonly number[]): Item[] | null {
  if (!isParagraph(el)) return null;
  const declared = /mso-list:\s*[^;"]{0,40}\blevel(\d)/.exec(styleOf(el));
  if (!declared && !isSetIn(el)) return null;
  const marker = takeMarker(el);
  const level = declared ? Number(declared[1]) : margins.indexOf(marginOf(el)) + 1;
  return [
    {
      level,
      ordered: marker?.ordered ?? false,
      number: level === 1 ? (marker?.number ?? 1) : 1,
      children: el.children,
    },
  ];
}

/** Takes bullet or number off a paragraph: a part that is marked to be ignored, else the first characters of its text. */
function takeMarker(el: Element): { ordered: boolean; number: number } | null {
  const ignored = findElement(el, (inner) => /mso-list:\s*ignore/.test(styleOf(inner)));
  if (ignored) {
    const marker = markerOf(`${textOf(ignored).trim()} `);
    drop(el, (inner) => inner === ignored);
    return marker;
  }
  const marker = markerOf(textOf(el));
  let left = marker?.length ?? 0;
  const stack: Element['children'] = [...el.children].reverse();
  while (left > 0 && stack.length > 0) {
    const node = stack.pop()!;
    if (node.type === 'text') {
      const taken = Math.min(left, node.value.length);
      node.value = node.value.slice(taken);
      left -= taken;
    } else if ('children' in node) stack.push(...[...node.children].reverse());
  }
  return marker;
}
