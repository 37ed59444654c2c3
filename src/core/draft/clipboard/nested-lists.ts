import type { Element, ElementContent, Root } from 'hast';
import { isBetween, make, type Parent } from '../hast-changing.ts';

/** A line that is an item of a list. */
export interface Item {
  /** From 1. */
  level: number;
  ordered: boolean;
  /** The number that it bears; 1 where it bears none. */
  number: number;
  children: ElementContent[];
}

/** Lists out of items in order, each nested by its level. An item deeper than the one before it is below that one. */
export function nestedLists(items: readonly Item[]): Element[] {
  const roots: Element[] = [];
  const open: { level: number; list: Element }[] = [];
  for (const { level, ordered, number, children } of items) {
    while (open.length > 0 && open[open.length - 1].level > level) open.pop();
    const tag = ordered ? 'ol' : 'ul';
    const same = open.at(-1);
    // Another kind of list at one level is a list of its own.
    if (same?.level === level && same.list.tagName !== tag) open.pop();
    if (open.at(-1)?.level !== level) {
      const list = make(tag, [], number > 1 ? { start: number } : {});
      const above = open.at(-1)?.list.children.at(-1) as Element | undefined;
      if (above) above.children.push(list);
      else roots.push(list);
      open.push({ level, list });
    }
    open[open.length - 1].list.children.push(make('li', children));
  }
  return roots;
}

/**
 * Puts lists for the runs of items among the children of an element: children that `itemsOf` reads as items (null: they are
 * none). White space between two of a run goes. Answers how many items there were.
 */
export function gatherLists(parent: Parent, itemsOf: (el: Element) => Item[] | null): number {
  const kept: ElementContent[] = [];
  let run: Item[] = [];
  let between: ElementContent[] = [];
  let count = 0;
  const end = () => {
    kept.push(...nestedLists(run), ...between);
    run = [];
    between = [];
  };
  for (const child of parent.children as Root['children']) {
    const items = child.type === 'element' ? itemsOf(child) : null;
    if (items) {
      run.push(...items);
      count += items.length;
      between = [];
    } else if (run.length > 0 && isBetween(child)) between.push(child as ElementContent);
    else {
      if (run.length > 0) end();
      kept.push(child as ElementContent);
    }
  }
  if (count === 0) return 0;
  end();
  parent.children = kept;
  return count;
}
