import { DraftReadings } from '../../core/criteria/index.ts';
import type { Block, PostFields } from '../../core/draft/index.ts';
import { Vocabulary } from '../../core/language/index.ts';
import { scorePost } from '../../core/scoring/index.ts';
import {
  type GraphPage,
  type HelpfulLink,
  helpfulLinks,
  indexedPost,
  LinkBook,
  type LinkFault,
  linkCandidates,
  linkedPaths,
  linkFaults,
  linkTargets,
  listPageOf,
  type MapPlaces,
  mapLayout,
  neediestPages,
  openToReaders,
  outsideAddresses,
  type PageStanding,
  pageWeights,
  postPathOf,
  type SiteGraph,
  SiteGraphBuilder,
  type SiteStanding,
  siteStanding,
  strongestPages,
} from '../../core/site/index.ts';
import { addressChecks } from '../data/address-checks.ts';
import { database, openDatabase } from '../data/database.ts';
import type { PostRow } from '../data/post-rows.ts';
import { finishedBody, postsOf } from '../data/posts.ts';
import { readScene } from '../data/read-scene.ts';
import { sceneOf } from '../data/scene.ts';
import { callOff, stillWanted } from './called-off.ts';

/** A page of the map: what it is, how it stands, where it lies. */
export interface MapPage extends GraphPage, PageStanding {
  x: number;
  y: number;
  /** Of its post, where it was scored; null: it is none, or was not yet. */
  score: number | null;
}

/** The map of a site's links. */
export interface SiteMapView extends Omit<SiteStanding, 'pages'> {
  pages: MapPage[];
  links: SiteGraph['links'];
}

/** A link that helps, as it can be set. */
export interface SettableLink extends Omit<HelpfulLink, 'from' | 'to' | 'losers'> {
  postId: string;
  /** Titles of the post that it would stand in and of the page that it would lead to, and that page's path. */
  fromTitle: string;
  toTitle: string;
  toPath: string;
  losers: { title: string; before: number; after: number }[];
  status: PostRow['fields']['status'];
}

/** A fault of a link, and the post that it stands in. */
export interface SiteFault extends LinkFault {
  postId: string;
  title: string;
  status: PostRow['fields']['status'];
}

/** Bodies that are read in one go. */
const SLICE = 100;
/** Posts on a page of the blog's lists, where nobody says otherwise. */
const PER_PAGE = 10;
/** Pages that are looked at for links that help: a link from a weak page to a strong one is none of the ten. */
const MOST_SOURCES = 600;
const MOST_TARGETS = 400;
const PROPOSED = 10;

/** Everything of a site that its graph is made from. */
async function gathered(siteId: string) {
  const data = await readScene(siteId);
  const row = await database().sites.get(siteId);
  if (!data || !row) throw new Error('The site is gone.');
  const posts = await postsOf(siteId);
  const isOpen = openToReaders(posts.map(({ fields }) => fields.status));
  const { site } = data;
  const host = site.baseAddress || null;
  const targets = linkTargets(posts, site);
  const more = new Map(
    posts.map(({ id, fields }) => [id, { category: fields.category, published: fields.date }]),
  );
  const builder = new SiteGraphBuilder(targets, more, host, site.name);
  return { data, posts, isOpen, site, host, targets, builder, redirects: row.redirects ?? [] };
}

/** Hands each post over with its text, slice by slice. */
async function eachPost(
  posts: readonly PostRow[],
  job: string,
  look: (post: PostRow, blocks: readonly Block[], done: number) => unknown,
): Promise<void> {
  for (let from = 0; from < posts.length; from += SLICE) {
    const rows = posts.slice(from, from + SLICE);
    const bodies = await database().bodies.bulkGet(rows.map(({ id }) => id));
    for (const [at, row] of rows.entries()) await look(row, finishedBody(bodies[at]).blocks, from + at + 1);
    await stillWanted(job);
  }
}

async function graphOf(siteId: string, job: string) {
  const all = await gathered(siteId);
  const { builder, posts, isOpen, site } = all;
  const open = posts.filter(({ fields }) => isOpen(fields.status));
  await eachPost(open, job, ({ fields }, blocks) => builder.add(postPathOf(fields, site), blocks));
  const graph = builder.graph();
  return { ...all, graph, open, isOpenPage: (page: number) => isOpen(graph.pages[page].status) };
}

const keywordOf = (fields: PostFields, language: string) => ({
  keyword: fields.keyword,
  language: fields.language || language || 'en',
});

/** A site as a whole: its map, the links that would help it, what is wrong with those it has. */
export const siteMap = {
  open(name: string): void {
    openDatabase(name);
  },

  callOff,

  /** The map of the links in a site's texts. */
  async map(siteId: string, job: string): Promise<SiteMapView> {
    const { graph, site, isOpenPage } = await graphOf(siteId, job);
    const standing = siteStanding(graph, {
      perPage: PER_PAGE,
      listPage: listPageOf(graph, site.addressPattern),
      isOpen: isOpenPage,
    });
    await stillWanted(job);
    const groups = Int32Array.from(standing.pages, ({ group }) => group);
    const { x, y }: MapPlaces = mapLayout(graph, groups);
    const scores = new Map(
      (await database().scores.where('siteId').equals(siteId).toArray()).map(({ postId, score }) => [
        postId,
        score,
      ]),
    );
    return {
      ...standing,
      links: graph.links,
      pages: graph.pages.map((page, at) => ({
        ...page,
        ...standing.pages[at],
        x: x[at],
        y: y[at],
        score: page.postId === null ? null : (scores.get(page.postId) ?? null),
      })),
    };
  },

  /** The ten links that would help most over the whole site. `tell` hears how far it is, 0-1. */
  async helpful(siteId: string, job: string, tell: (done: number) => void): Promise<SettableLink[]> {
    const { graph, site, open, targets, host, isOpenPage } = await graphOf(siteId, job);
    const weights = pageWeights(graph);
    const indexOf = new Map(graph.pages.map(({ path }, at) => [path, at]));
    const needy = new Set(neediestPages(weights, isOpenPage, MOST_TARGETS));
    const book = new LinkBook(
      targets.filter(({ path }) => needy.has(indexOf.get(path) ?? -1)),
      new Vocabulary(),
    );
    const byId = new Map(open.map((post) => [post.id, post]));
    const sources = strongestPages(graph, weights, isOpenPage, MOST_SOURCES).flatMap(
      (page) => byId.get(graph.pages[page].postId ?? '') ?? [],
    );
    const found: ReturnType<typeof linkCandidates> = [];
    await eachPost(sources, job, ({ fields }, blocks, done) => {
      const base = postPathOf(fields, site);
      const linked = linkedPaths(blocks, { base, host });
      if (base !== null) linked.add(base);
      const from = indexOf.get(base ?? '');
      if (from !== undefined)
        found.push(...linkCandidates(from, blocks, keywordOf(fields, site.language), book, linked, indexOf));
      if (done % 20 === 0) tell(done / sources.length);
    });
    return helpfulLinks(graph, found, PROPOSED).flatMap(({ from, to, losers, ...link }) => {
      const post = byId.get(graph.pages[from].postId ?? '');
      if (!post) return [];
      return [
        {
          ...link,
          postId: post.id,
          status: post.fields.status,
          fromTitle: graph.pages[from].title,
          toTitle: graph.pages[to].title,
          toPath: graph.pages[to].path,
          losers: losers.map(({ page, ...shares }) => ({ ...shares, title: graph.pages[page].title })),
        },
      ];
    });
  },

  /** What is wrong with the links of all posts, post by post. */
  async faults(siteId: string, job: string, tell: (done: number) => void): Promise<SiteFault[]> {
    const { data, posts, redirects } = await gathered(siteId);
    const scene = sceneOf(data);
    const readings = new DraftReadings();
    const found: SiteFault[] = [];
    await eachPost(posts, job, async (post, blocks, done) => {
      const document = { fields: post.fields, draft: { version: 1 as const, blocks: [...blocks] } };
      const { facts, context } = scorePost(document, indexedPost(post.id, document), scene, readings);
      const answers = await addressChecks(outsideAddresses(facts));
      for (const fault of linkFaults(facts, context.site, redirects, answers))
        found.push({
          ...fault,
          postId: post.id,
          title: post.fields.title || 'Untitled',
          status: post.fields.status,
        });
      if (done % 20 === 0) tell(done / posts.length);
    });
    return found;
  },
};
