import type { IdeaDraft } from '../../core/research/index.ts';
import { database, type IdeaRow } from './database.ts';

/** Ideas of a site in their order, dropped ones among them: what was dropped is not offered again. */
export async function ideasOf(siteId: string): Promise<IdeaRow[]> {
  const rows = await database().ideas.where('siteId').equals(siteId).toArray();
  return rows.sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** Adds ideas at the end; answers their rows. */
export async function addIdeas(
  siteId: string,
  drafts: readonly IdeaDraft[],
  now: string,
  stage: IdeaRow['stage'] = 'new',
): Promise<IdeaRow[]> {
  const known = await ideasOf(siteId);
  const last = Math.max(0, ...known.map(({ rank }) => rank));
  const rows = drafts.map(
    (draft, at): IdeaRow => ({
      ...draft,
      id: crypto.randomUUID(),
      siteId,
      stage,
      rank: last + at + 1,
      postId: '',
      made: now,
    }),
  );
  await database().ideas.bulkAdd(rows);
  return rows;
}

/** Puts ideas as given; what they were before undoes it. */
export async function putIdeas(rows: readonly IdeaRow[]): Promise<void> {
  await database().ideas.bulkPut([...rows]);
}

/** Takes ideas out; only for undoing that they were made. */
export const removeIdeas = (ids: readonly string[]): Promise<void> => database().ideas.bulkDelete([...ids]);
