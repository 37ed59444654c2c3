import { type BriefChoices, emptyBriefChoices } from '../../core/writing/index.ts';
import { database } from './database.ts';
import type { BriefRow, GenerationRow } from './study-rows.ts';

/** What is decided about the brief of a post; nothing yet where it has none. */
export async function briefOfPost(siteId: string, postId: string): Promise<BriefRow> {
  return (await database().briefs.get(postId)) ?? { postId, siteId, ...emptyBriefChoices() };
}

/** Changes what is decided about a brief, from how it stands in the database. Answers how it stood. */
export async function changeBrief(
  siteId: string,
  postId: string,
  change: (brief: BriefRow) => Partial<BriefChoices>,
): Promise<BriefRow> {
  const { briefs } = database();
  return database().transaction('rw', briefs, async () => {
    const row = await briefOfPost(siteId, postId);
    await briefs.put({ ...row, ...change(row), changed: new Date().toISOString() });
    return row;
  });
}

/** What was generated for a post, the latest first. */
export async function generationsOf(siteId: string, postId: string): Promise<GenerationRow[]> {
  const rows = await database().generations.where('[siteId+postId]').equals([siteId, postId]).toArray();
  return rows.sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? -1 : 1));
}

/** Keeps generations; they stay until their post is gone. */
export async function keepGenerations(rows: readonly Omit<GenerationRow, 'id'>[]): Promise<GenerationRow[]> {
  const kept = rows.map((row) => ({ id: crypto.randomUUID(), ...row }));
  await database().generations.bulkAdd(kept);
  return kept;
}
