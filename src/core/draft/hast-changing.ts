import type { Element, ElementContent, Root } from 'hast';
import { attribute } from './hast-reading.ts';

export type Parent = Root | Element;

/** All elements of a tree, outer ones first, each with what it stands in. No recursion: pages nest deep. */
export function elementsIn(root: Parent): { el: Element; parent: Parent }[] {
  const found: { el: Element; parent: Parent }[] = [];
  const stack: { el: Element; parent: Parent }[] = [];
  const open = (parent: Parent) => {
    for (let at = parent.children.length - 1; at >= 0; at--) {
      const child = parent.children[at];
      if (child.type === 'element') stack.push({ el: child, parent });
    }
  };
  open(root);
  for (let next = stack.pop(); next; next = stack.pop()) {
    found.push(next);
    open(next.el);
  }
  return found;
}

/** Takes elements out of a tree, with all that they hold; answers how many there were. */
export function drop(root: Parent, passes: (el: Element) => boolean): number {
  let dropped = 0;
  const parents = new Set(elementsIn(root).flatMap(({ el, parent }) => (passes(el) ? [parent] : [])));
  for (const parent of parents) {
    const before = parent.children.length;
    parent.children = (parent.children as ElementContent[]).filter(
      (child) => child.type !== 'element' || !passes(child),
    );
    dropped += before - parent.children.length;
  }
  return dropped;
}

/** The style attribute in lower case, empty where there is none. */
export const styleOf = (el: Element): string => (attribute(el, 'style') ?? '').toLowerCase();

/** True for white space and comments: what lies between two lines of markup. */
export const isBetween = (node: Root['children'][number]): boolean =>
  node.type === 'comment' || (node.type === 'text' && node.value.trim() === '');

/** A new element. */
export const make = (
  tagName: string,
  children: ElementContent[],
  properties: Element['properties'] = {},
): Element => ({ type: 'element', tagName, properties, children });
