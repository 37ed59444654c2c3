/** What came of taking a change back. */
export interface TakenBack<Value> {
  value: Value;
  /** Places at which the change has been changed since: they stay as they stand. */
  left: number;
}

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

/**
 * Takes a change of a record back from how the record stands now: each field that the change set goes back to what it
 * was, unless it was set anew since; fields that the change did not touch are not touched. Lists of texts or of items
 * with an `id` go back item by item, records within it field by field.
 *
 * `fieldsTakenBack({ title: 'a', slug: 's' }, { title: 'b', slug: 's' }, { title: 'b', slug: 'new' })` gives
 * `{ title: 'a', slug: 'new' }` with nothing left.
 */
export function fieldsTakenBack<Fields extends object>(
  before: Fields,
  after: Fields,
  now: Fields,
): TakenBack<Fields> & { leftFields: (keyof Fields)[] } {
  const value = { ...now };
  const leftFields: (keyof Fields)[] = [];
  let left = 0;
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)] as (keyof Fields)[])) {
    const back = valueTakenBack(before[key], after[key], now[key]);
    value[key] = back.value;
    left += back.left;
    if (back.left > 0) leftFields.push(key);
  }
  return { value, leftFields, left };
}

function valueTakenBack<Value>(before: Value, after: Value, now: Value): TakenBack<Value> {
  if (same(before, after) || same(now, before)) return { value: now, left: 0 };
  if (same(now, after)) return { value: before, left: 0 };
  // A list that was not there yet had nothing in it.
  const [old, set, here] = [itemsOf(before ?? []), itemsOf(after), itemsOf(now)];
  if (old && set && here) {
    const { value, left } = listTakenBack(old, set, here);
    return { value: value.map(({ item }) => item) as Value, left };
  }
  if (isRecord(before) && isRecord(after) && isRecord(now)) return fieldsTakenBack(before, after, now);
  return { value: now, left: 1 };
}

const isRecord = (value: unknown): value is object =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A list whose items are told apart by themselves, or by their `id`, `key`, `address`, `slug` or `from`; null for any other value. */
function itemsOf(value: unknown): { id: string; item: unknown }[] | null {
  if (!Array.isArray(value)) return null;
  const items = value.map((item: unknown) => {
    const { id, key, address, slug, from } = (item ?? {}) as Record<string, unknown>;
    return { id: typeof item === 'string' ? item : (id ?? key ?? address ?? slug ?? from ?? null), item };
  });
  if (items.some(({ id }) => typeof id !== 'string')) return null;
  return new Set(items.map(({ id }) => id)).size === items.length
    ? (items as { id: string; item: unknown }[])
    : null;
}

/**
 * Takes a change of a list back from how the list stands now, item by item (blocks of a draft, headings of an
 * outline): what it added goes, what it changed or moved goes back, what it took out comes back behind its old
 * neighbour. An item that was changed since stays as it stands, and what came since stays where it is.
 *
 * With `x, a, y` before and `a, y` after, from `a` (y was taken out since) it gives `x, a`: y does not come back.
 */
export function listTakenBack<Item extends { id: string }>(
  before: readonly Item[],
  after: readonly Item[],
  now: readonly Item[],
): TakenBack<Item[]> {
  const [old, set] = [byId(before), byId(after)];
  let left = 0;
  let items = now.flatMap((item) => {
    const changed = set.get(item.id);
    const was = old.get(item.id);
    if (changed === undefined) return [item];
    if (was === undefined) {
      if (same(item, changed)) return [];
      left += 1;
      return [item];
    }
    if (same(was, changed) || same(item, was)) return [item];
    if (same(item, changed)) return [was];
    left += 1;
    return [item];
  });
  const ordered = reordered(before, after, items);
  if (ordered === null) left += 1;
  else items = ordered;
  return { value: withReturned(before, set, items), left };
}

const byId = <Item extends { id: string }>(items: readonly Item[]): Map<string, Item> =>
  new Map(items.map((item) => [item.id, item]));

/** The items in their old order where the change moved some; null where they were moved again since. */
function reordered<Item extends { id: string }>(
  before: readonly Item[],
  after: readonly Item[],
  items: readonly Item[],
): Item[] | null {
  const here = byId(items);
  const [old, set] = [byId(before), byId(after)];
  const shared = ({ id }: Item) => here.has(id) && old.has(id) && set.has(id);
  const was = before.filter(shared).map(({ id }) => id);
  const became = after.filter(shared).map(({ id }) => id);
  if (same(was, became)) return [...items];
  const stands = items.filter(shared).map(({ id }) => id);
  if (same(stands, was)) return [...items];
  if (!same(stands, became)) return null;
  // Each moved item takes the place of the one that stands where it stood; what came since keeps its place.
  let next = 0;
  return items.map((item) => (shared(item) ? here.get(was[next++])! : item));
}

/** The items with those that the change took out, each behind the nearest of its old neighbours that is still there. */
function withReturned<Item extends { id: string }>(
  before: readonly Item[],
  set: ReadonlyMap<string, Item>,
  items: readonly Item[],
): Item[] {
  const here = new Set(items.map(({ id }) => id));
  const behind = new Map<string | null, Item[]>();
  let neighbour: string | null = null;
  for (const item of before) {
    if (here.has(item.id)) neighbour = item.id;
    else if (!set.has(item.id)) {
      const returned = behind.get(neighbour);
      if (returned) returned.push(item);
      else behind.set(neighbour, [item]);
    }
  }
  return [...(behind.get(null) ?? []), ...items.flatMap((item) => [item, ...(behind.get(item.id) ?? [])])];
}
