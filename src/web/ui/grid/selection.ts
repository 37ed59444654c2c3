import type { GridSelection } from './grid-column.ts';

/** The selection with one row turned: in when it was out, out when it was in. */
export function turned<Key>({ selected, keyAt }: GridSelection<Key>, place: number): ReadonlySet<Key> {
  const next = new Set(selected);
  if (!next.delete(keyAt(place))) next.add(keyAt(place));
  return next;
}

/** The selection with all rows from one place to another, both included, in whatever order they are given. */
export function stretched<Key>(
  { selected, keyAt }: GridSelection<Key>,
  from: number,
  to: number,
): ReadonlySet<Key> {
  const next = new Set(selected);
  for (let place = Math.min(from, to); place <= Math.max(from, to); place++) next.add(keyAt(place));
  return next;
}

/** All rows that are shown, with those selected before that a filter hides now. */
export function withAll<Key>(selection: GridSelection<Key>, count: number): ReadonlySet<Key> {
  return count === 0 ? selection.selected : stretched(selection, 0, count - 1);
}

/** Whether every row that is shown is selected; none shown is not all. */
export function isAll<Key>({ selected, keyAt }: GridSelection<Key>, count: number): boolean {
  // With fewer selected than shown nothing need be looked at, however many there are.
  if (count === 0 || selected.size < count) return false;
  for (let place = 0; place < count; place++) if (!selected.has(keyAt(place))) return false;
  return true;
}
