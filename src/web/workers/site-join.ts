import { DraftReadings } from '../../core/criteria/index.ts';
import { type Block, type Draft, type PostDocument, type Status, wordsIn } from '../../core/draft/index.ts';
import { finishedDraft } from '../../core/outline/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import {
  indexedPost,
  isForReaders,
  type JoinAdvice,
  type JoinedSection,
  joinAdvice,
  joinedPost,
  movedLinkEdits,
  type PostSection,
  postPathOf,
  postSections,
} from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import { loadPost, postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { sceneOf } from '../data/scene.ts';
import { stillWanted } from './called-off.ts';
import type { LinkingPost } from './links.ts';

/** One of two posts that are to be joined. */
export interface JoinSide {
  id: string;
  title: string;
  status: Status;
  /** Null: it has no address yet. */
  path: string | null;
  sections: PostSection[];
}

/** Two posts side by side, with what is proposed. */
export interface JoinView {
  keeper: JoinSide;
  other: JoinSide;
  advice: JoinAdvice;
}

/** What joining two posts comes to, before it is done. */
export interface PlannedJoin {
  keeper: string;
  other: string;
  titles: { keeper: string; other: string };
  document: PostDocument;
  /** Score of the post that stays, now and joined. */
  score: { before: number; after: number };
  words: { before: number; after: number };
  /** Further posts of which links follow. */
  mend: LinkingPost[];
  /** From where readers are led to where; null: they never had the other post. */
  redirect: { from: string; to: string } | null;
  /** Revisions of both that it was worked out for. */
  revisions: { keeper: number; other: number };
  /** Why the other cannot give way, each a sentence; empty: it can. */
  problems: string[];
}

const SLICE = 100;
const wordsOf = (blocks: readonly Block[]) => blocks.reduce((sum, { text }) => sum + wordsIn(text), 0);

async function both(siteId: string, keeperId: string, otherId: string) {
  const [data, site, keeper, other] = await Promise.all([
    readScene(siteId),
    database().sites.get(siteId),
    loadPost(keeperId),
    loadPost(otherId),
  ]);
  if (!data || !site) throw new Error('The site is gone.');
  if (!keeper || !other || keeperId === otherId)
    throw new Error('One of the two posts is gone. It may lie in the trash.');
  return { data, site, keeper, other };
}
type Loaded = Awaited<ReturnType<typeof both>>;

const sideOf = ({ row }: Loaded['keeper'], draft: Draft, data: Loaded['data']) => ({
  fields: row.fields,
  draft,
  path: postPathOf(row.fields, data.site),
});
const titleOf = ({ fields: { title, slug } }: Loaded['keeper']['row']) => title || slug || 'Untitled';

/** Two posts that become one. */
export const siteJoin = {
  /** The sections of two posts, and what of the one that gives way is worth taking over. */
  async sideBySide(siteId: string, keeperId: string, otherId: string): Promise<JoinView> {
    const { data, keeper, other } = await both(siteId, keeperId, otherId);
    const side = (loaded: Loaded['keeper'], draft: Draft): JoinSide => ({
      id: loaded.row.id,
      title: titleOf(loaded.row),
      status: loaded.row.fields.status,
      path: postPathOf(loaded.row.fields, data.site),
      sections: postSections(draft),
    });
    const sides = {
      keeper: side(keeper, keeper.draft),
      other: side(other, finishedDraft(other.draft, other.outline)),
    };
    return { ...sides, advice: joinAdvice(sides.keeper.sections, sides.other.sections) };
  },

  /** What the two come to with these sections. */
  async joinPlan(
    siteId: string,
    keeperId: string,
    otherId: string,
    picked: readonly JoinedSection[],
    job: string,
  ): Promise<PlannedJoin> {
    const { data, site, keeper, other } = await both(siteId, keeperId, otherId);
    const host = site.baseAddress || null;
    const own = sideOf(keeper, keeper.draft, data);
    const given = sideOf(other, finishedDraft(other.draft, other.outline), data);
    const document = joinedPost(own, given, picked, host, () => crypto.randomUUID());
    await stillWanted(job);
    const scene = sceneOf(data);
    const readings = new DraftReadings();
    const scoreOf = (post: PostDocument) => {
      const finished = { ...post, draft: finishedDraft(post.draft, keeper.outline) };
      return scorePost(finished, indexedPost(keeperId, finished), scene, readings).report.score;
    };
    const hadReaders = other.row.fields.status === 'published' && given.path !== null;
    const problems: string[] = [];
    if (isForReaders(other.row.fields.status) && keeper.row.fields.status !== 'published')
      problems.push(
        `“${titleOf(keeper.row)}” is not published: readers of “${titleOf(other.row)}” would be led to a page that is not there. Publish it first, or join them the other way round.`,
      );
    else if (hadReaders && own.path === null)
      problems.push(`“${titleOf(keeper.row)}” has no address: give it a slug first.`);
    const mend: LinkingPost[] = [];
    const rows = given.path === null || own.path === null ? [] : await postsOf(siteId);
    const moves = new Map(given.path !== null && own.path !== null ? [[given.path, own.path]] : []);
    for (let from = 0; from < rows.length; from += SLICE) {
      const slice = rows.slice(from, from + SLICE).filter(({ id }) => id !== keeperId && id !== otherId);
      const bodies = await database().bodies.bulkGet(slice.map(({ id }) => id));
      slice.forEach(({ id, fields }, at) => {
        const place = { base: postPathOf(fields, data.site), host, moves };
        const edits = movedLinkEdits(bodies[at]?.draft?.blocks ?? [], place);
        if (edits.length > 0) mend.push({ postId: id, title: fields.title || 'Untitled', edits });
      });
      await stillWanted(job);
    }
    return {
      keeper: keeperId,
      other: otherId,
      titles: { keeper: titleOf(keeper.row), other: titleOf(other.row) },
      document,
      score: { before: scoreOf(own), after: scoreOf(document) },
      words: { before: wordsOf(own.draft.blocks), after: wordsOf(document.draft.blocks) },
      mend: mend.sort((a, b) => (a.title < b.title ? -1 : 1)),
      redirect: hadReaders && own.path !== null ? { from: given.path!, to: own.path } : null,
      revisions: { keeper: keeper.row.revision, other: other.row.revision },
      problems,
    };
  },
};
