import { database } from './database.ts';
import type { GenerationAsked, GenerationRow } from './study-rows.ts';

/** A text that was asked for by a pattern. */
export type AskedRow = GenerationRow & { asked: GenerationAsked };

const isAsked = (row: GenerationRow): row is AskedRow => row.asked !== undefined;

const latestFirst = (a: GenerationRow, b: GenerationRow) =>
  a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1;

/** Texts that were asked for by patterns for a post, the latest first. */
export async function askedOf(siteId: string, postId: string): Promise<AskedRow[]> {
  const rows = await database().generations.where('[siteId+postId]').equals([siteId, postId]).toArray();
  return rows.filter(isAsked).sort(latestFirst);
}

/** Everything that was generated for a site, the latest first. */
export const generationsOfSite = async (siteId: string): Promise<GenerationRow[]> =>
  (await database().generations.where('siteId').equals(siteId).toArray()).sort(latestFirst);

/** Keeps a text as far as it has come. */
export const keepGeneration = async (row: GenerationRow): Promise<void> => {
  await database().generations.put(row);
};

/** Changes what became of a text, from how it stands in the database; nothing where it is gone. */
export async function changeGeneration(
  id: string,
  change: (asked: GenerationAsked) => Partial<GenerationAsked>,
): Promise<void> {
  const { generations } = database();
  await database().transaction('rw', generations, async () => {
    const row = await generations.get(id);
    if (row?.asked) await generations.put({ ...row, asked: { ...row.asked, ...change(row.asked) } });
  });
}

/** Says of paragraphs that they were read: they are marked no more. Answers the way back. */
export async function sayRead(
  siteId: string,
  postId: string,
  blockIds: readonly string[],
): Promise<() => Promise<void>> {
  const { generations } = database();
  const [row] = await askedOf(siteId, postId);
  if (!row) return async () => {};
  const known = new Set(row.asked.read ?? []);
  const fresh = blockIds.filter((id) => !known.has(id));
  await changeGeneration(row.id, ({ read = [] }) => ({ read: [...read, ...fresh] }));
  return () =>
    database().transaction('rw', generations, () =>
      changeGeneration(row.id, ({ read = [] }) => ({ read: read.filter((id) => !fresh.includes(id)) })),
    );
}

/** Takes generations out; answers the way back. */
export async function removeGenerations(ids: readonly string[]): Promise<() => Promise<void>> {
  const { generations } = database();
  const rows = (await generations.bulkGet([...ids])).flatMap((row) => row ?? []);
  await generations.bulkDelete(rows.map(({ id }) => id));
  return async () => {
    await generations.bulkPut(rows);
  };
}
