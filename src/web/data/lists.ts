import { type Holder, phraseKey } from '../../core/research/index.ts';
import { database, type ListRow, type PostRow } from './database.ts';

/** Lists of a site in their order. */
export async function listsOf(siteId: string): Promise<ListRow[]> {
  const rows = await database().lists.where('siteId').equals(siteId).toArray();
  return rows.sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** Puts lists as given; what they were before undoes it. */
export async function putLists(rows: readonly ListRow[]): Promise<void> {
  await database().lists.bulkPut([...rows]);
}

/** Takes a list out. */
export const removeList = (id: string): Promise<void> => database().lists.delete(id);

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
): Promise<{ list: ListRow; added: number; undo: () => Promise<void> }> {
  const { lists } = database();
  return database().transaction('rw', lists, async () => {
    const before = 'id' in to ? await lists.get(to.id) : undefined;
    const known = await listsOf(siteId);
    const made: ListRow = before ?? {
      id: crypto.randomUUID(),
      siteId,
      name: 'name' in to ? to.name : 'New list',
      rank: Math.max(0, ...known.map(({ rank }) => rank)) + 1,
      region: 'region' in to ? to.region : '',
      primary: '',
      phrases: [],
      notes: '',
      postId: '',
      changed: now,
    };
    const next = withPhrases(made.phrases, phrases);
    const list: ListRow = { ...made, phrases: next, primary: made.primary || (next[0] ?? ''), changed: now };
    await lists.put(list);
    return {
      list,
      added: next.length - made.phrases.length,
      undo: async () => {
        if (before) await lists.put(before);
        else await lists.delete(list.id);
      },
    };
  });
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
