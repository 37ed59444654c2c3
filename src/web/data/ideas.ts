import { emptyDraft, type PostFields } from '../../core/draft/index.ts';
import type { IdeaDraft } from '../../core/research/index.ts';
import { changeRow, type RowBack } from './change-row.ts';
import { database } from './database.ts';
import { addPost } from './posts.ts';
import type { IdeaRow } from './research-rows.ts';

/** So many phrases of an idea support its keyword at first. */
const SUPPORTING = 12;

/** Ideas of a site in their order, dropped ones among them: what was dropped is not offered again. */
export async function ideasOf(siteId: string): Promise<IdeaRow[]> {
  const rows = await database().ideas.where('siteId').equals(siteId).toArray();
  return rows.sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
}

/** Adds ideas before all others, in their order; answers their rows. */
export async function addIdeas(
  siteId: string,
  drafts: readonly IdeaDraft[],
  now: string,
  stage: IdeaRow['stage'] = 'new',
): Promise<IdeaRow[]> {
  const known = await ideasOf(siteId);
  const first = Math.min(1, ...known.map(({ rank }) => rank)) - drafts.length;
  const rows = drafts.map(
    (draft, at): IdeaRow => ({
      ...draft,
      id: crypto.randomUUID(),
      siteId,
      stage,
      rank: first + at,
      postId: '',
      made: now,
    }),
  );
  await database().ideas.bulkAdd(rows);
  return rows;
}

/** Changes an idea as it stands; answers the way back. */
export const changeIdea = (id: string, change: (idea: IdeaRow) => Partial<IdeaRow>): Promise<RowBack> =>
  changeRow(database().ideas, id, change);

/** Sets the order of some ideas: they share out the places that they have, so that others are not moved. */
export async function orderIdeas(ids: readonly string[]): Promise<void> {
  const { ideas } = database();
  await database().transaction('rw', ideas, async () => {
    const rows = (await ideas.bulkGet([...ids])).flatMap((row) => row ?? []);
    const places = rows.map(({ rank }) => rank).sort((a, b) => a - b);
    await ideas.bulkPut(rows.map((row, at) => ({ ...row, rank: places[at] })));
  });
}

/** Begins the post of an idea, as the idea stands; answers the post's id, null where the idea is gone. */
export async function beginIdea(
  id: string,
  house: PostFields,
  postId: string,
  now: string,
): Promise<string | null> {
  const { ideas, posts, bodies } = database();
  return database().transaction('rw', ideas, posts, bodies, async () => {
    const idea = await ideas.get(id);
    if (!idea) return null;
    const fields = {
      ...house,
      title: idea.title,
      keyword: idea.keyword,
      supporting: idea.phrases.filter((phrase) => phrase !== idea.keyword).slice(0, SUPPORTING),
    };
    await addPost(idea.siteId, postId, now, { fields, draft: emptyDraft() });
    await ideas.put({ ...idea, stage: 'begun', postId });
    return postId;
  });
}

/** Takes ideas out; only for undoing that they were made. */
export const removeIdeas = (ids: readonly string[]): Promise<void> => database().ideas.bulkDelete([...ids]);
