import type { Element, Nodes, Root } from 'hast';

const PROPERTY: Record<string, string> = { colspan: 'colSpan', rowspan: 'rowSpan', class: 'className' };

/** An attribute as text, undefined where it is not there. */
export function attribute(el: Element, name: string): string | undefined {
  const value = el.properties?.[PROPERTY[name] ?? name];
  if (value === undefined || value === null || value === false) return undefined;
  if (value === true) return '';
  return Array.isArray(value) ? value.join(' ') : String(value);
}

/** A list-valued attribute (class, rel) in lower case. */
export const classNames = (el: Element, name = 'className'): string[] =>
  (attribute(el, name) ?? '').toLowerCase().split(/\s+/).filter(Boolean);

/** The first element in document order that passes; the start itself is not asked. No recursion: pages nest deep. */
export function findElement(from: Root | Element, passes: (el: Element) => boolean): Element | null {
  const stack: Nodes[] = [...from.children].reverse();
  while (stack.length) {
    const node = stack.pop()!;
    if (node.type !== 'element') continue;
    if (passes(node)) return node;
    for (let at = node.children.length - 1; at >= 0; at--) stack.push(node.children[at]);
  }
  return null;
}

/** Elements of a name below another: children, or (deep) descendants that are not inside a nested one of the kind. */
export function childElements(from: Root | Element, name: string, deep = false): Element[] {
  const out: Element[] = [];
  const stack: Nodes[] = [...from.children].reverse();
  while (stack.length) {
    const node = stack.pop()!;
    if (node.type !== 'element') continue;
    if (node.tagName === name) out.push(node);
    else if (deep && node.tagName !== 'table') {
      for (let at = node.children.length - 1; at >= 0; at--) stack.push(node.children[at]);
    }
  }
  return out;
}

/** All text below a node. */
export function textOf(from: Root | Element): string {
  let text = '';
  const stack: Nodes[] = [from];
  while (stack.length) {
    const node = stack.pop()!;
    if (node.type === 'text') text += node.value;
    else if ('children' in node)
      for (let at = node.children.length - 1; at >= 0; at--) stack.push(node.children[at]);
  }
  return text;
}
