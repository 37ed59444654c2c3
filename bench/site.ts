import { type Block, emptyFields, readMarkdown } from '../src/core/draft/index.ts';
import type { Vocabulary } from '../src/core/language/index.ts';
import { comparablePath } from '../src/core/listing/index.ts';
import {
  helpfulLinks,
  LinkBook,
  type LinkCandidate,
  linkCandidates,
  linkedPaths,
  linkTargets,
  mapLayout,
  neediestPages,
  pageWeights,
  postPathOf,
  type SiteGraph,
  SiteGraphBuilder,
  siteStanding,
  strongestPages,
  unknownSite,
} from '../src/core/site/index.ts';
import { proseOf, seeded, termsOf } from './prose.ts';

const site = unknownSite();
/** Posts that link among themselves more than with the rest. */
const IN_GROUP = 80;
const NEAR = 0.8;

/** A site of so many posts with so many words each, and so many links from each, four of five within its group. */
export function siteOf(count: number, words: number, links: number, seed: number) {
  const random = seeded(seed);
  const keywords = termsOf(count, seed);
  const posts = keywords.map((keyword, at) => ({
    id: `p${at}`,
    fields: {
      ...emptyFields(),
      title: `${keyword}: what helps`,
      keyword,
      slug: `post-${at}`,
      status: 'published' as const,
    },
  }));
  const blocks = posts.map((_, at): Block[] => {
    const { draft } = readMarkdown(proseOf(words, seed + at));
    const group = Math.floor(at / IN_GROUP) * IN_GROUP;
    const own = Array.from({ length: links }, () => {
      const to =
        random() < NEAR
          ? group + Math.floor(random() * Math.min(IN_GROUP, count - group))
          : Math.floor(random() * count);
      return `[${keywords[to]}](/post-${to})`;
    });
    return [...draft.blocks, ...readMarkdown(`See ${own.join(', ')}.`).draft.blocks];
  });
  return { posts, blocks, targets: linkTargets(posts, site) };
}
type BenchSite = ReturnType<typeof siteOf>;

export function graphOf({ posts, blocks, targets }: BenchSite): SiteGraph {
  const builder = new SiteGraphBuilder(targets, new Map(), null, 'Home');
  posts.forEach(({ fields }, at) => {
    builder.add(postPathOf(fields, site), blocks[at]);
  });
  return builder.graph();
}

/** One pass through the links: each address read, and the page that it leads to looked up. */
export function passThroughLinks(addresses: readonly string[], pages: ReadonlyMap<string, number>): number {
  let sum = 0;
  for (const address of addresses) sum += pages.get(comparablePath(address) ?? '') ?? 0;
  return sum;
}

/** Metrics of a graph, and a place for each of its pages. */
export function mapped(graph: SiteGraph): number {
  const standing = siteStanding(graph, { perPage: 10, listPage: 0, isOpen: () => true });
  const { x } = mapLayout(
    graph,
    Int32Array.from(standing.pages, ({ group }) => group),
  );
  return x.length;
}

/** The ten links that help most, from the texts on. */
export function rankedLinks(
  { posts, blocks, targets }: BenchSite,
  graph: SiteGraph,
  vocabulary: Vocabulary,
): number {
  const weights = pageWeights(graph);
  const indexOf = new Map(graph.pages.map(({ path }, at) => [path, at]));
  const needy = new Set(neediestPages(weights, () => true, 400));
  const book = new LinkBook(
    targets.filter(({ path }) => needy.has(indexOf.get(path) ?? -1)),
    vocabulary,
  );
  const placeOf = new Map(posts.map(({ id }, at) => [id, at]));
  const found: LinkCandidate[] = [];
  for (const page of strongestPages(graph, weights, () => true, 600)) {
    const at = placeOf.get(graph.pages[page].postId ?? '') ?? 0;
    const base = postPathOf(posts[at].fields, site);
    const linked = linkedPaths(blocks[at], { base, host: null });
    if (base !== null) linked.add(base);
    const { keyword } = posts[at].fields;
    found.push(...linkCandidates(page, blocks[at], { keyword, language: 'en' }, book, linked, indexOf));
  }
  return helpfulLinks(graph, found, 10).length;
}

/** An index of whole texts: for each word the posts that hold it, and how often. */
export function fullTextIndex({ blocks }: BenchSite): Map<string, Map<number, number>> {
  const index = new Map<string, Map<number, number>>();
  blocks.forEach((own, at) => {
    for (const { text } of own)
      for (const word of text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []) {
        let posts = index.get(word);
        if (!posts) {
          posts = new Map();
          index.set(word, posts);
        }
        posts.set(at, (posts.get(at) ?? 0) + 1);
      }
  });
  return index;
}

/** One full-text query for each page: the ten posts that hold all words of its keyword, most often first. */
export function queriedForAll(
  index: ReadonlyMap<string, ReadonlyMap<number, number>>,
  keywords: readonly string[],
): number {
  let sum = 0;
  for (const keyword of keywords) {
    const words = keyword.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
    const [first, ...others] = words.map((word) => index.get(word) ?? new Map<number, number>());
    const hits: [post: number, count: number][] = [];
    for (const [post, count] of first ?? []) {
      let all = count;
      for (const other of others) {
        const own = other.get(post);
        if (own === undefined) {
          all = 0;
          break;
        }
        all += own;
      }
      if (all > 0) hits.push([post, all]);
    }
    sum += hits.sort((a, b) => b[1] - a[1]).slice(0, 10).length;
  }
  return sum;
}
