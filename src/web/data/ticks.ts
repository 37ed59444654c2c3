import { database } from './database.ts';

/** Points of the house's checklist that are ticked for a post. */
export const ticksOf = async (siteId: string, postId: string): Promise<string[]> =>
  (await database().ticks.get([siteId, postId]))?.items ?? [];

/** Ticks a point, or takes the tick away. */
export async function setTick(siteId: string, postId: string, item: string, ticked: boolean): Promise<void> {
  const { ticks } = database();
  await database().transaction('rw', ticks, async () => {
    const others = (await ticksOf(siteId, postId)).filter((id) => id !== item);
    const items = ticked ? [...others, item] : others;
    await ticks.put({ siteId, postId, items, changed: new Date().toISOString() });
  });
}
