import { type Holder, phraseKey } from '../../core/research/index.ts';
import { changeRow, type RowBack } from './change-row.ts';
import { database } from './database.ts';
import type { PostRow } from './post-rows.ts';
import type { ListRow } from './research-rows.ts';

/** Lists of a site in their order. */
export async function listsOf(siteId: string): Promise<ListRow[]> {
  const rows = await database().lists.where('siteId').equals(siteId).toArray();
  return rows.sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** Changes a list as it stands; answers the way back. */
export const changeList = (
  id: string,
  change: (list: ListRow) => Partial<ListRow>,
  now = new Date().toISOString(),
): Promise<RowBack> => changeRow(database().lists, id, (list) => ({ ...change(list), changed: now }));

/** Moves a list by one place among those of its site. */
export async function moveList(siteId: string, id: string, by: 1 | -1): Promise<void> {
  const { lists } = database();
  await database().transaction('rw', lists, async () => {
    const order = await listsOf(siteId);
    const from = order.findIndex((list) => list.id === id);
    if (from < 0) return;
    const [moved] = order.splice(from, 1);
    order.splice(from + by, 0, moved);
    await lists.bulkPut(order.map((list, at) => ({ ...list, rank: at + 1 })));
  });
}

/** Takes a list out; answers the way back. */
export async function removeList(id: string): Promise<RowBack> {
  const { lists } = database();
  const row = await lists.get(id);
  await lists.delete(id);
  return async () => {
    if (row) await lists.put(row);
    return '';
  };
}

/** Phrases together, each once; the first writing of each stays. */
export function withPhrases(known: readonly string[], added: readonly string[]): string[] {
  const keys = new Set(known.map(phraseKey));
  const out = [...known];
  for (const phrase of added) {
    if (keys.has(phraseKey(phrase))) continue;
    keys.add(phraseKey(phrase));
    out.push(phrase);
  }
  return out;
}

/** Adds phrases to a list, or to a new one of that name at the end. Answers the list and how to undo it. */
export async function addToList(
  siteId: string,
  to: { id: string } | { name: string; region: string },
  phrases: readonly string[],
  now: string,
): Promise<{ list: ListRow; added: number; undo: RowBack }> {
  const { lists } = database();
  return database().transaction('rw', lists, async () => {
    const known = 'id' in to ? await lists.get(to.id) : undefined;
    if (known && known.siteId !== siteId)
      throw new Error(`"${known.name}" is a list of another site. Choose one of this site.`);
    const made = known ?? (await newList(siteId, to, now));
    const next = withPhrases(made.phrases, phrases);
    const undo = await changeList(
      made.id,
      (list) => ({ phrases: next, primary: list.primary || (next[0] ?? '') }),
      now,
    );
    const list = (await lists.get(made.id)) ?? made;
    const added = next.length - made.phrases.length;
    if (known) return { list, added, undo };
    // A list that was made for these phrases goes with them, unless it was written in since.
    return {
      list,
      added,
      undo: async () => {
        const stays = await undo();
        const left = await lists.get(made.id);
        if (left && left.phrases.length === 0 && !stays) await lists.delete(made.id);
        return stays;
      },
    };
  });
}

async function newList(
  siteId: string,
  to: { id: string } | { name: string; region: string },
  now: string,
): Promise<ListRow> {
  const others = await listsOf(siteId);
  const list: ListRow = {
    id: crypto.randomUUID(),
    siteId,
    name: 'name' in to ? to.name : 'New list',
    rank: Math.max(0, ...others.map(({ rank }) => rank)) + 1,
    region: 'region' in to ? to.region : '',
    primary: '',
    phrases: [],
    notes: '',
    postId: '',
    changed: now,
  };
  await database().lists.add(list);
  return list;
}

/** A list as overlap looks at it. */
export const holderOfList = ({ id, name, primary, phrases }: ListRow): Holder => ({
  id: `list ${id}`,
  name,
  primary,
  phrases,
});

/** A post's target as overlap looks at it; null where it has none. */
export function holderOfPost({ id, fields }: PostRow): Holder | null {
  const { keyword, supporting, title } = fields;
  if (!keyword.trim() && supporting.length === 0) return null;
  return {
    id: `post ${id}`,
    name: title || 'Untitled',
    primary: keyword,
    phrases: [keyword, ...supporting].filter((phrase) => phrase.trim()),
  };
}
