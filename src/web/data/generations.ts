import { database } from './database.ts';
import type { GenerationAsked, GenerationRow } from './study-rows.ts';

/** A text that was asked for by a pattern. */
export type AskedRow = GenerationRow & { asked: GenerationAsked };

const isAsked = (row: GenerationRow): row is AskedRow => row.asked !== undefined;

const TAKEN: readonly GenerationAsked['taken'][] = ['part', 'whole'];

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

/**
 * Texts that the draft of a post has paragraphs of: those that came back for a brief, and those that were taken. Others are not even
 * looked at: a post may have hundreds, and one that is coming changes every second.
 */
export async function originsOf(siteId: string, postId: string): Promise<GenerationRow[]> {
  const { generations } = database();
  const [came, taken] = await Promise.all([
    generations.where('[siteId+postId+recipe]').equals([siteId, postId, 'brief']).toArray(),
    generations
      .where('[siteId+postId+asked.taken]')
      .anyOf(TAKEN.map((how) => [siteId, postId, how]))
      .toArray(),
  ]);
  // What came back for a brief does not know where it went.
  return [...came, ...taken.filter(({ asked }) => (asked?.blocks?.length ?? 0) > 0)];
}

/** Begins to keep a text that is asked for. */
export const beginGeneration = async (row: AskedRow): Promise<void> => {
  await database().generations.add(row);
};

/**
 * Keeps a text as far as it has come. What a person did to it meanwhile (took pieces, said to have read it) stays; one that was
 * cleared stays away.
 */
export async function growGeneration(
  id: string,
  { output, title }: Pick<GenerationRow, 'output' | 'title'>,
  asked: Partial<GenerationAsked>,
): Promise<void> {
  const { generations } = database();
  await database().transaction('rw', generations, async () => {
    const row = await generations.get(id);
    if (row?.asked) await generations.put({ ...row, output, title, asked: { ...row.asked, ...asked } });
  });
}

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

/**
 * Says of paragraphs that they were read: they are marked no more. Kept with the text that each came from, so that it stays said as
 * long as that is known. Answers the way back.
 */
export async function sayRead(
  siteId: string,
  postId: string,
  blockIds: readonly string[],
): Promise<() => Promise<void>> {
  const { generations } = database();
  const change = (work: (read: readonly string[], own: readonly string[]) => string[]) =>
    database().transaction('rw', generations, async () => {
      for (const row of await originsOf(siteId, postId)) {
        const own = blockIds.filter((id) => !row.asked || row.asked.blocks?.includes(id));
        if (own.length > 0) await generations.put({ ...row, read: work(row.read ?? [], own) });
      }
    });
  await change((read, own) => [...new Set([...read, ...own])]);
  return () => change((read, own) => read.filter((id) => !own.includes(id)));
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
