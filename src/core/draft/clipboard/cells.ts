import type { Element, Root } from 'hast';
import { elementsIn, isBetween, make, styleOf } from '../hast-changing.ts';
import { childElements, findElement, textOf } from '../hast-reading.ts';
import type { Account } from './account.ts';

const rowsOf = (table: Element): Element[] => childElements(table, 'tr', true);
const cellsOf = (row: Element): Element[] =>
  row.children.filter((child): child is Element => child.type === 'element' && /^t[dh]$/.test(child.tagName));

/** Reads tables as they are meant: a first row that stands out is a header; a paste that is one column of cells is a list. */
export function fromCells(tree: Root, account: Account): void {
  const all = elementsIn(tree);
  const tables = all.filter(({ el }) => el.tagName === 'table');
  if (tables.length === 1 && isAlone(tree, tables[0].el)) {
    const [{ el: table, parent }] = tables;
    const rows = rowsOf(table);
    if (rows.length > 1 && rows.every((row) => cellsOf(row).length === 1)) {
      const items = rows
        .map((row) => cellsOf(row)[0])
        .filter((cell) => textOf(cell).trim() !== '')
        .map((cell) => make('li', cell.children));
      parent.children.splice(parent.children.indexOf(table), 1, make('ul', items));
      account.add('column');
      return;
    }
  }
  for (const { el: table } of tables) account.add('header', markHeader(table));
}

/** Whether a paste holds a table and nothing else that is read. */
const isAlone = (tree: Root, table: Element): boolean => {
  const body = findElement(tree, (el) => el.tagName === 'body') ?? tree;
  return textOf(body).trim() === textOf(table).trim();
};

/** Makes the cells of a header row header cells where they are not; answers how many rows those were. */
function markHeader(table: Element): number {
  const rows = rowsOf(table);
  const head = childElements(table, 'thead')[0];
  const wanted = head ? rowsOf(head) : standsOut(rows) ? rows.slice(0, 1) : [];
  let marked = 0;
  for (const row of wanted) {
    const plain = cellsOf(row).filter(({ tagName }) => tagName === 'td');
    for (const cell of plain) cell.tagName = 'th';
    if (plain.length > 0) marked += 1;
  }
  return marked;
}

/** Whether the first row alone is bold from end to end. */
function standsOut(rows: readonly Element[]): boolean {
  if (rows.length < 2) return false;
  const bold = rows.map((row) =>
    cellsOf(row)
      .filter((cell) => textOf(cell).trim() !== '')
      .every(isBold),
  );
  return bold[0] && cellsOf(rows[0]).length > 1 && !bold.slice(1).some(Boolean);
}

const makesBold = (el: Element): boolean =>
  /^(?:b|strong|th)$/.test(el.tagName) || /font-weight:\s*(?:bold|[6-9]00)/.test(styleOf(el));

/** Whether all words of a cell are bold. */
function isBold(cell: Element): boolean {
  if (makesBold(cell)) return true;
  return cell.children.every(
    (child) =>
      isBetween(child) ||
      (child.type === 'element' && (makesBold(child) || (textOf(child) !== '' && isBold(child)))),
  );
}
