import type { Status } from '../../draft/index.ts';
import { type Category, categoryPath, comparablePath, postPath } from '../../listing/index.ts';
import { type Redirect, withMoves } from '../redirects.ts';
import type { Filing } from './category-change.ts';

/** By what the addresses of a blog are made. */
export interface BlogOrder {
  addressPattern: string;
  categories: Category[];
}

/** What of a post its place on the blog depends on. */
export interface PlacedPost extends Filing {
  id: string;
  title: string;
  status: Status;
  slug: string;
  canonical: string;
  date: string;
}

/** A page of which the address changes. */
export interface MovedPage {
  /** Null: the list of a category. */
  id: string | null;
  title: string;
  status: Status;
  /** As links to it are written. */
  from: string;
  to: string;
}

/** A post that is filed elsewhere. */
export interface RefiledPost {
  id: string;
  title: string;
  before: Filing;
  after: Filing;
}

/** What a change of a blog's order comes to, before it is made. */
export interface Arrangement {
  before: BlogOrder;
  after: BlogOrder;
  refiled: RefiledPost[];
  moved: MovedPage[];
  /** Posts that name their own old address as the original: they would send search there. */
  ownOriginals: string[];
  /** The table of redirects as it would be, and how many of them are new. */
  redirects: Redirect[];
  newRedirects: number;
  /** Why it cannot be made, each a sentence; empty: it can. */
  problems: string[];
}

/** What is changed of an order. */
export interface OrderChange {
  addressPattern?: string;
  categories?: Category[];
  /** What becomes of the lists of categories: slug before to slug after; empty: none shows these posts. */
  slugs?: ReadonlyMap<string, string>;
  /** Posts that are filed elsewhere, by id. */
  filings?: ReadonlyMap<string, Filing>;
}

/** The blog around a change. */
export interface ArrangedSite extends BlogOrder {
  redirects: readonly Redirect[];
  /** Paths of pages that are no posts, in comparable form. */
  pages: ReadonlySet<string>;
  /** Whether the blog has a list for each category at `/category/`, as ours does. */
  hasLists: boolean;
}

/** First parts of addresses at which a blog of ours has something of its own. */
const TAKEN = new Set(['category', 'author', 'page', 'media', 'search', 'micropub']);
const MOST_NAMED = 3;

const named = (titles: readonly string[]): string =>
  `${titles
    .slice(0, MOST_NAMED)
    .map((title) => `“${title}”`)
    .join(', ')}${titles.length > MOST_NAMED ? ` and ${titles.length - MOST_NAMED} more` : ''}`;

const comparable = (path: string): string => comparablePath(path) ?? path;

/** The lists of categories whose address changes. */
function movedLists(before: BlogOrder, after: BlogOrder, slugs: ReadonlyMap<string, string>): MovedPage[] {
  return before.categories.flatMap(({ slug, name }): MovedPage[] => {
    const next = slugs.get(slug) ?? slug;
    const isThere = after.categories.some((one) => one.slug === next);
    const from = categoryPath(before, slug);
    const to = isThere ? categoryPath(after, next) : '/';
    return from === to ? [] : [{ id: null, title: name, status: 'published', from, to }];
  });
}

/** Why posts cannot stand at their new addresses. */
function faultsOf(
  site: ArrangedSite,
  places: readonly { post: PlacedPost; from: string | null; to: string | null }[],
): string[] {
  const problems: string[] = [];
  const lost = places.filter(({ from, to, post }) => from !== null && to === null && post.slug !== '');
  if (lost.length > 0)
    problems.push(
      `The addresses would say the day, and ${named(lost.map(({ post }) => post.title))} ${lost.length === 1 ? 'has' : 'have'} no date.`,
    );
  const at = new Map<string, { title: string; isMoved: boolean }[]>();
  for (const { post, from, to } of places) {
    if (to === null) continue;
    const list = at.get(comparable(to)) ?? [];
    list.push({ title: post.title, isMoved: from !== to });
    at.set(comparable(to), list);
  }
  const taken = new Map<string, string[]>();
  for (const [path, posts] of at) {
    if (!posts.some(({ isMoved }) => isMoved)) continue;
    const titles = posts.map(({ title }) => title);
    if (posts.length > 1) problems.push(`${named(titles)} would stand at one address: ${path}.`);
    if (site.pages.has(path))
      problems.push(`${named(titles)} would stand at ${path}, where a page of the site is.`);
    const first = path.split('/')[1] ?? '';
    if (site.hasLists && TAKEN.has(first)) taken.set(first, [...(taken.get(first) ?? []), ...titles]);
  }
  for (const [first, titles] of taken)
    problems.push(`${named(titles)} would stand under /${first}, which the blog keeps for itself.`);
  // Readers who know an address as one post must not come to another there.
  for (const { post, from, to } of places) {
    if (from === null || to === null || from === to || post.status !== 'published') continue;
    const others = at.get(comparable(from))?.filter(({ isMoved }) => isMoved) ?? [];
    if (others.length > 0 && comparable(from) !== comparable(to))
      problems.push(
        `Readers know ${from} as “${post.title}”; ${named(others.map(({ title }) => title))} would stand there.`,
      );
  }
  return [...new Set(problems)];
}

/**
 * What a change of a blog's order comes to: posts filed elsewhere, addresses that change, redirects for those that readers know
 * (published posts and lists), chains collapsed, and why it cannot be made: two pages at one address, an address that readers know as
 * another post, a post without an address.
 */
export function arrangement(
  site: ArrangedSite,
  posts: readonly PlacedPost[],
  { addressPattern, categories, slugs = new Map(), filings = new Map() }: OrderChange,
  now: string,
): Arrangement {
  const before: BlogOrder = { addressPattern: site.addressPattern, categories: site.categories };
  const after: BlogOrder = {
    addressPattern: addressPattern ?? before.addressPattern,
    categories: categories ?? before.categories,
  };
  const refiled: RefiledPost[] = [];
  const places = posts.map((post) => {
    const filing = filings.get(post.id) ?? post;
    const was: Filing = { category: post.category, categories: post.categories };
    const is: Filing = { category: filing.category, categories: filing.categories };
    if (JSON.stringify(was) !== JSON.stringify(is))
      refiled.push({ id: post.id, title: post.title, before: was, after: is });
    return { post, from: postPath(before, post), to: postPath(after, { ...post, ...is }) };
  });
  const moved = places.flatMap(({ post: { id, title, status }, from, to }): MovedPage[] =>
    from === null || to === null || from === to ? [] : [{ id, title, status, from, to }],
  );
  if (site.hasLists) moved.push(...movedLists(before, after, slugs));
  const standing = new Set([
    ...places.flatMap(({ to }) => (to === null ? [] : [comparable(to)])),
    ...(site.hasLists ? after.categories.map(({ slug }) => comparable(categoryPath(after, slug))) : []),
    ...site.pages,
  ]);
  const known = new Map(
    moved.flatMap(({ status, from, to }) =>
      status === 'published' ? [[comparable(from), to] as const] : [],
    ),
  );
  const redirects = withMoves(site.redirects, known, standing, {
    since: now,
    why: addressPattern === undefined ? 'Its category changed' : 'The address pattern changed',
  });
  const froms = new Set(site.redirects.map(({ from }) => from));
  return {
    before,
    after,
    refiled,
    moved,
    ownOriginals: places.flatMap(({ post, from, to }) =>
      from !== null &&
      from !== to &&
      post.canonical !== '' &&
      comparablePath(post.canonical) === comparable(from)
        ? [post.id]
        : [],
    ),
    redirects,
    newRedirects: redirects.filter(({ from }) => !froms.has(from)).length,
    problems: faultsOf(site, places),
  };
}

/** Where every moved page stands now, for the links to it: path before in comparable form, path after. */
export const linkMoves = (moved: readonly MovedPage[]): Map<string, string> =>
  new Map(moved.map(({ from, to }) => [comparable(from), to]));
