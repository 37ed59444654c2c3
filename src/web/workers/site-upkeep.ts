import { type CriterionResult, DraftReadings, gainOf, notesOf } from '../../core/criteria/index.ts';
import { fieldOf, sameResultsBy } from '../../core/research/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import {
  type Clash,
  clashes,
  type Doubled,
  doubledListings,
  type HeldText,
  indexedPost,
  isForReaders,
  linkedPaths,
  openToReaders,
  postPathOf,
  type SameText,
  sameTexts,
  type TargetedPost,
  type TranslationFault,
  translatedPost,
  translationFaults,
  translationGround,
} from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import type { PostRow, SiteRow } from '../data/post-rows.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { sceneOf } from '../data/scene.ts';
import { stillWanted } from './called-off.ts';
import { shownOf } from './shown-of.ts';

/** What is looked for post by post, by the criteria that tell of it. */
const UPKEEP_CRITERIA = {
  thin: ['post-size', 'body-length'],
  old: ['timely'],
  heavy: ['image-weight'],
  alt: ['alt-present'],
} as const;
export type UpkeepKind = keyof typeof UPKEEP_CRITERIA;

/** What is to be mended in one post. */
export interface UpkeepLine {
  postId: string;
  /** Points to win. */
  gain: number;
  advice: string;
  quote: string;
}

/** What a site has gathered over the years. */
export interface Upkeep {
  /** Titles and statuses of its posts, by id. */
  posts: ReadonlyMap<string, { title: string; status: PostRow['fields']['status'] }>;
  clashes: Clash[];
  doubled: Doubled[];
  same: SameText[];
  lines: Record<UpkeepKind, UpkeepLine[]>;
  /** What is wrong with the pairs of posts in several languages. */
  translations: TranslationFault[];
  /** Points that a doubled meta title or text costs its posts, by post. */
  doubledGain: ReadonlyMap<string, number>;
}

/** Bodies that are read in one go. */
const SLICE = 50;
/** A post that earns less of its length than this is thin; one that is still being written is not. */
const THIN = 0.75;

/** Whether a note of a post's length tells of a thin one: readers have it, and a quarter and more of what it wants is missing. */
const isThin = ({ fields }: PostRow, { points, available }: CriterionResult): boolean =>
  isForReaders(fields.status) && points < available * THIN;

/** What is wrong with the pairs of posts in several languages. */
function translationsOf(posts: readonly PostRow[], site: SiteRow): TranslationFault[] {
  const isOpen = openToReaders(posts.map(({ fields }) => fields.status));
  return translationFaults(
    posts.map(({ id, fields }) => translatedPost(id, fields, site, isOpen)),
    translationGround(site, site.redirects ?? []),
  );
}

/** What a site has gathered that wants mending. */
export const siteUpkeep = {
  /**
   * Looks through all posts that are for readers or on the way to them. `pages` are the first pages found for their keywords, as far as
   * they are known. `tell` hears how far it is, 0-1.
   */
  async upkeep(
    siteId: string,
    pages: ReadonlyMap<string, readonly string[]>,
    job: string,
    tell: (done: number) => void,
  ): Promise<Upkeep> {
    const data = await readScene(siteId);
    const site = await database().sites.get(siteId);
    if (!data || !site) throw new Error('The site is gone.');
    const posts = await postsOf(siteId);
    const scene = sceneOf(data);
    const host = site.baseAddress || null;
    const paths = new Map(posts.map((post) => [post.id, postPathOf(post.fields, data.site)]));
    const idAt = new Map([...paths].flatMap(([id, path]) => (path === null ? [] : [[path, id] as const])));
    const readings = new DraftReadings();
    const lines: Upkeep['lines'] = { thin: [], old: [], heavy: [], alt: [] };
    const texts: HeldText[] = [];
    const links = new Map<string, number>();
    const scores = new Map<string, number>();
    const doubledGain = new Map<string, number>();
    for (let from = 0; from < posts.length; from += SLICE) {
      const slice = posts.slice(from, from + SLICE);
      const bodies = await database().bodies.bulkGet(slice.map(({ id }) => id));
      slice.forEach((post, at) => {
        const draft = finishedBody(bodies[at]);
        const document = { fields: post.fields, draft };
        for (const path of linkedPaths(draft.blocks, { base: paths.get(post.id) ?? null, host })) {
          const to = idAt.get(path);
          if (to !== undefined && to !== post.id) links.set(to, (links.get(to) ?? 0) + 1);
        }
        texts.push({ id: post.id, blocks: draft.blocks });
        const { report } = scorePost(document, indexedPost(post.id, document), scene, readings);
        scores.set(post.id, report.score);
        const notes = notesOf(report.criteria);
        for (const [kind, ids] of Object.entries(UPKEEP_CRITERIA) as [UpkeepKind, readonly string[]][])
          for (const note of notes)
            if (ids.includes(note.id) && (kind !== 'thin' || isThin(post, note)))
              lines[kind].push({
                postId: post.id,
                gain: gainOf(note),
                advice: note.advice ?? '',
                quote: note.evidence[0]?.quote ?? '',
              });
        const distinct = report.criteria.find(({ id }) => id === 'meta-title-distinct');
        if (distinct) doubledGain.set(post.id, gainOf(distinct));
      });
      tell((from + slice.length) / posts.length);
      await stillWanted(job);
    }
    for (const list of Object.values(lines)) list.sort((a, b) => b.gain - a.gain);
    const { shown, clicks } = await shownOf(siteId, idAt);
    const targeted = posts.map(
      ({ id, fields: { title, keyword, supporting, date } }): TargetedPost => ({
        id,
        title,
        keyword,
        supporting,
        date,
        clicks: clicks.get(id) ?? 0,
        impressions: [...(shown.get(id)?.values() ?? [])].reduce((sum, one) => sum + one, 0),
        links: links.get(id) ?? 0,
        score: scores.get(id) ?? null,
      }),
    );
    const field = fieldOf(
      posts.flatMap(({ fields: { keyword, supporting } }) => [keyword, ...supporting].filter(Boolean)),
    );
    return {
      posts: new Map(
        posts.map(({ id, fields }) => [
          id,
          { title: fields.title || fields.slug || 'Untitled', status: fields.status },
        ]),
      ),
      clashes: clashes(targeted, { field, sameResults: sameResultsBy(pages) }, shown),
      doubled: doubledListings(
        posts.map(({ id, fields: { title, metaTitle, metaDescription } }) => ({
          id,
          title,
          metaTitle,
          metaDescription,
        })),
        site,
      ),
      same: sameTexts(texts),
      translations: translationsOf(posts, site),
      lines,
      doubledGain,
    };
  },
};
