import type { StudyFacts } from '../../core/criteria/index.ts';
import type { TermChoices } from '../../core/study/index.ts';
import { changeRow, type RowBack } from './change-row.ts';
import { database } from './database.ts';
import type { StudyPageRow, StudyRow } from './study-rows.ts';

/** Studies of a site, the latest first. */
export async function studiesOf(siteId: string): Promise<StudyRow[]> {
  const rows = await database().studies.where('siteId').equals(siteId).toArray();
  return rows.sort((a, b) => (a.made < b.made ? 1 : a.made > b.made ? -1 : a.id < b.id ? -1 : 1));
}

/** The study that a post goes by; null: none. */
export const studyOfPost = async (siteId: string, postId: string): Promise<StudyRow | null> =>
  (await studiesOf(siteId)).find(({ posts }) => posts.includes(postId)) ?? null;

/** What was studied for the posts of a site, by the post's id. */
export async function studyFactsOf(siteId: string): Promise<[string, StudyFacts][]> {
  const found = new Map<string, StudyFacts>();
  for (const { posts, facts } of await studiesOf(siteId))
    for (const id of posts) if (facts && !found.has(id)) found.set(id, facts);
  return [...found];
}

/** Puts a study in with its pages; its posts go by it from now on. */
export async function addStudy(row: StudyRow, pages: readonly StudyPageRow[]): Promise<void> {
  const { studies, studyPages } = database();
  await database().transaction('rw', studies, studyPages, async () => {
    await takeFrom(row.siteId, row.posts);
    await studyPages.bulkPut([...pages]);
    await studies.put(row);
  });
}

/** Posts go by no study any more. */
async function takeFrom(siteId: string, posts: readonly string[]): Promise<void> {
  for (const row of await studiesOf(siteId))
    if (row.posts.some((id) => posts.includes(id)))
      await database().studies.put({
        ...row,
        revision: row.revision + 1,
        posts: row.posts.filter((id) => !posts.includes(id)),
      });
}

/** Changes a study as it lies there now; null where it is gone. */
export async function changeStudy(
  id: string,
  change: (row: StudyRow) => Partial<StudyRow>,
): Promise<StudyRow | null> {
  const { studies } = database();
  return database().transaction('rw', studies, async () => {
    const row = await studies.get(id);
    if (!row) return null;
    const next = {
      ...row,
      ...change(row),
      revision: row.revision + 1,
      changed: new Date().toISOString(),
    };
    await studies.put(next);
    return next;
  });
}

/** Changes what the writer chose about the terms of a study; answers the way back. */
export const changeChoices = (
  id: string,
  change: (choices: TermChoices) => Partial<TermChoices>,
): Promise<RowBack> =>
  changeRow(database().studies, id, ({ choices }) => ({ choices: { ...choices, ...change(choices) } }));

/** Lets a post go by a study, and by no other. */
export async function goBy(siteId: string, postId: string, studyId: string): Promise<void> {
  const { studies } = database();
  await database().transaction('rw', studies, async () => {
    await takeFrom(siteId, [postId]);
    const row = await studies.get(studyId);
    if (row) await studies.put({ ...row, revision: row.revision + 1, posts: [...row.posts, postId] });
  });
}

/** Takes contents of pages out that no study of a site names any more. */
export async function dropUnnamedPages(siteId: string, keys: readonly string[]): Promise<void> {
  const { studies, studyPages } = database();
  await database().transaction('rw', studies, studyPages, async () => {
    const named = new Set((await studiesOf(siteId)).flatMap(({ pages }) => pages.map(({ key }) => key)));
    const gone = keys.filter((key) => key !== '' && !named.has(key));
    await studyPages.bulkDelete(gone.map((key): [string, string] => [siteId, key]));
  });
}

/** Takes a study out, with the pages that no other names. Answers how to bring it back. */
export async function removeStudy(id: string): Promise<() => Promise<void>> {
  const { studies, studyPages } = database();
  return database().transaction('rw', studies, studyPages, async () => {
    const row = await studies.get(id);
    if (!row) return async () => {};
    await studies.delete(id);
    const named = new Set((await studiesOf(row.siteId)).flatMap(({ pages }) => pages.map(({ key }) => key)));
    const own = row.pages.map(({ key }) => key).filter((key) => key !== '' && !named.has(key));
    const keys = own.map((key): [string, string] => [row.siteId, key]);
    // What another study names stays, and comes back with this one all the same: by then it may be gone.
    const all = row.pages.flatMap(({ key }): [string, string][] => (key === '' ? [] : [[row.siteId, key]]));
    const contents = (await studyPages.bulkGet(all)).filter((page) => page !== undefined);
    await studyPages.bulkDelete(keys);
    return () => addStudy(row, contents);
  });
}
