import type { Element, Root } from 'hast';
import { elementsIn } from '../hast-changing.ts';
import { attribute, classNames } from '../hast-reading.ts';
import type { Account } from './account.ts';
import { gatherLists, type Item } from './nested-lists.ts';

/** Reads the markup of editors in web pages as it is meant: headings by their role or class, lists that come item by item. */
export function fromWebEditor(tree: Root, account: Account): void {
  for (const { el } of elementsIn(tree)) {
    const level = headingLevel(el);
    if (level === null) continue;
    el.tagName = `h${level}`;
    account.add('heading');
  }
  for (const { el } of [{ el: tree as unknown as Element }, ...elementsIn(tree)])
    gatherLists(el, leveledItems);
}

function headingLevel(el: Element): number | null {
  if (!/^(?:p|div|span)$/.test(el.tagName)) return null;
  if (attribute(el, 'role') === 'heading') {
    const level = Number(attribute(el, 'ariaLevel') ?? 2);
    return Math.min(6, Math.max(1, Number.isInteger(level) ? level : 2));
  }
  return el.tagName === 'p' && classNames(el).includes('title') ? 1 : null;
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
