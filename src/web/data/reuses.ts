import { changeRow, type RowBack } from './change-row.ts';
import { database } from './database.ts';
import type { ReuseRow } from './reuse-rows.ts';

/** What was made of a post, the latest first. */
export async function reusesOf(siteId: string, postId: string): Promise<ReuseRow[]> {
  const rows = await database().reuses.where('[siteId+postId]').equals([siteId, postId]).toArray();
  return rows.sort((a, b) => (a.made < b.made ? 1 : a.made > b.made ? -1 : a.id < b.id ? -1 : 1));
}

/** What of a site's is planned for a day, the nearest first. */
export async function plannedReuses(siteId: string): Promise<ReuseRow[]> {
  const rows = await database().reuses.where('siteId').equals(siteId).toArray();
  return rows
    .filter(({ planned }) => planned !== '')
    .sort((a, b) => (a.planned < b.planned ? -1 : a.planned > b.planned ? 1 : a.id < b.id ? -1 : 1));
}

/** Keeps something that was made. */
export async function addReuse(row: ReuseRow): Promise<void> {
  await database().reuses.add({ ...row, changed: new Date().toISOString() });
}

/** Changes something that was made, from how it stands in the database; answers the way back of this change alone. */
export const changeReuse = (
  id: string,
  change: (row: ReuseRow) => Partial<Omit<ReuseRow, 'id' | 'siteId' | 'postId'>>,
): Promise<RowBack> => changeRow(database().reuses, id, change);

/** Takes something that was made out; answers the way back. */
export async function removeReuse(id: string): Promise<() => Promise<void>> {
  const { reuses } = database();
  const row = await reuses.get(id);
  await reuses.delete(id);
  return async () => {
    if (row && !(await reuses.get(id))) await reuses.add(row);
  };
}
