import {
  type AdvisedPost,
  type Arrangement,
  arrangement,
  type CategoryAdvice,
  categoriesOfPosts,
  categoryAdvice,
  linkMoves,
  movedLinkEdits,
  type OrderChange,
  type PlacedPost,
  postPathOf,
} from '../../core/site/index.ts';
import { database } from '../data/database.ts';
import type { PostRow } from '../data/post-rows.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { hasLists, siteAround } from '../data/site-around.ts';
import { stillWanted } from './called-off.ts';
import type { LinkingPost } from './links.ts';

/** Bodies that are read in one go. */
const SLICE = 100;

/** What a change of a blog's order comes to, with the links that follow it. */
export interface PlannedOrder {
  arrangement: Arrangement;
  /** Posts of which links follow, with the edits that do it. */
  mend: LinkingPost[];
  /** The site's revision that it was worked out for. */
  revision: number;
}

const placed = ({ id, fields }: PostRow): PlacedPost => {
  const { title, status, slug, canonical, date, category, categories } = fields;
  return { id, title: title || slug || 'Untitled', status, slug, canonical, date, category, categories };
};

/** The order of a site: its categories and the addresses of its posts. */
export const siteOrder = {
  /** What could be done about the categories; posts in the trash count nowhere. */
  async advice(siteId: string, job: string): Promise<CategoryAdvice> {
    const [site, rows] = await Promise.all([database().sites.get(siteId), postsOf(siteId)]);
    if (!site) throw new Error('The site is gone.');
    const posts: AdvisedPost[] = [];
    for (let from = 0; from < rows.length; from += SLICE) {
      const slice = rows.slice(from, from + SLICE);
      const bodies = await database().bodies.bulkGet(slice.map(({ id }) => id));
      slice.forEach(({ id, fields: { title, category } }, at) => {
        const text = finishedBody(bodies[at])
          .blocks.map((block) => block.text)
          .join('\n');
        posts.push({ id, title, category, text });
      });
      await stillWanted(job);
    }
    const filings = rows.map(({ fields }) => fields);
    return categoryAdvice(posts, site.categories ?? categoriesOfPosts(filings));
  },

  /** What a change comes to, over all posts. `now` is when it would be made. */
  async plan(siteId: string, change: OrderChange, now: string, job: string): Promise<PlannedOrder> {
    const around = await siteAround(siteId);
    const rows = await postsOf(siteId);
    const { site, pages } = around;
    const planned = arrangement(
      {
        addressPattern: site.addressPattern,
        categories: site.categories ?? categoriesOfPosts(rows.map(({ fields }) => fields)),
        redirects: site.redirects ?? [],
        pages,
        hasLists: hasLists(site),
      },
      rows.map(placed),
      change,
      now,
    );
    const moves = linkMoves(planned.moved);
    const mend: LinkingPost[] = [];
    for (let from = 0; moves.size > 0 && from < rows.length; from += SLICE) {
      const slice = rows.slice(from, from + SLICE);
      const bodies = await database().bodies.bulkGet(slice.map(({ id }) => id));
      slice.forEach(({ id, fields }, at) => {
        const edits = movedLinkEdits(bodies[at]?.draft?.blocks ?? [], {
          base: postPathOf(fields, { ...site, pages: null }),
          host: site.baseAddress || null,
          moves,
        });
        if (edits.length > 0) mend.push({ postId: id, title: fields.title || 'Untitled', edits });
      });
      await stillWanted(job);
    }
    return {
      arrangement: planned,
      mend: mend.sort((a, b) => (a.title < b.title ? -1 : 1)),
      revision: site.revision,
    };
  },
};

export type SiteOrder = typeof siteOrder;
