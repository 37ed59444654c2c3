import type { Element, Root } from 'hast';
import { elementsIn } from '../hast-changing.ts';
import { attribute, classNames, textOf } from '../hast-reading.ts';
import type { Account } from './account.ts';
import { gatherLists, type Item } from './nested-lists.ts';

/** Reads the markup of editors in web pages as it is meant: headings by their role, a title by its class, lists that come item by item. */
export function fromWebEditor(tree: Root, account: Account): void {
  const all = elementsIn(tree);
  for (const { el } of all) {
    const level = headingLevel(el);
    if (level === null) continue;
    el.tagName = `h${level}`;
    account.add('heading');
  }
  const title = titleIn(all.map(({ el }) => el));
  if (title) {
    title.tagName = 'h1';
    account.add('heading');
  }
  for (const { el } of [{ el: tree as unknown as Element }, ...elementsIn(tree)])
    gatherLists(el, leveledItems);
}

function headingLevel(el: Element): number | null {
  if (!/^(?:p|div|span)$/.test(el.tagName) || attribute(el, 'role') !== 'heading') return null;
  const level = Number(attribute(el, 'ariaLevel') ?? 2);
  return Math.min(6, Math.max(1, Number.isInteger(level) ? level : 2));
}

/** The paragraph that is the title: the first of all that has words. Further down the class names a figure or a table. */
function titleIn(elements: readonly Element[]): Element | null {
  const first = elements.find(
    (el) => /^(?:p|h[1-6]|li|td|th|pre|blockquote)$/.test(el.tagName) && textOf(el).trim() !== '',
  );
  return first?.tagName === 'p' && classNames(first).includes('title') ? first : null;
}

/** The items of a list all of which say their level. */
function leveledItems(list: Element): Item[] | null {
  if (list.tagName !== 'ul' && list.tagName !== 'ol') return null;
  const items = list.children.filter((child) => child.type === 'element');
  if (items.length === 0 || !items.every((item) => item.tagName === 'li' && attribute(item, 'ariaLevel')))
    return null;
  const start = Number(attribute(list, 'start') ?? 1) || 1;
  return items.map((item, at) => ({
    level: Number(attribute(item, 'ariaLevel')) || 1,
    ordered: list.tagName === 'ol',
    number: start + at,
    children: item.children,
  }));
}
