import { comparablePath, folderOfPosts } from '../../listing/index.ts';
import type { SiteGraph } from './site-graph.ts';

/** How the lists of a blog lead to its posts. */
export interface BlogLists {
  /** Posts on a page of a list. */
  perPage: number;
  /** The page that lists the posts, by index, one click from home; 0: the home page itself. */
  listPage: number;
  /** Whether a reader can open a page. */
  isOpen: (page: number) => boolean;
}

/**
 * Clicks from the home page to each page, -1 where no way leads. The page that lists the posts shows the newest first, one page of
 * the list after the other a click further, and leads to the categories, which list theirs; from there the links in the texts count.
 *
 * @param lists null: there are no lists, only links
 */
export function clicksFromHome({ pages, links }: SiteGraph, lists: BlogLists | null): Int32Array {
  const clicks = new Int32Array(pages.length).fill(-1);
  const ways: number[][] = pages.map(() => []);
  for (const { from, to } of links) ways[from].push(to);
  const begins: number[][] = [[0]];
  const begin = (page: number, at: number) => {
    begins[at] ??= [];
    begins[at].push(page);
  };
  if (lists) {
    const { perPage, isOpen, listPage } = lists;
    const first = listPage === 0 ? 1 : 2;
    if (listPage !== 0) begin(listPage, 1);
    const newest = pages
      .map(({ postId, published, path, category }, page) => ({ page, postId, published, path, category }))
      .filter(({ postId, page }) => postId !== null && isOpen(page))
      .sort((a, b) =>
        a.published === b.published ? (a.path < b.path ? -1 : 1) : a.published < b.published ? 1 : -1,
      );
    const inCategory = new Map<string, number>();
    newest.forEach(({ page, category }, at) => {
      begin(page, first + Math.floor(at / perPage));
      if (category === '') return;
      const before = inCategory.get(category) ?? 0;
      inCategory.set(category, before + 1);
      begin(page, first + 1 + Math.floor(before / perPage));
    });
  }
  // Level by level: whoever is met first is met by the shortest way.
  for (let level = 0; level < begins.length; level++)
    for (const page of begins[level] ?? []) {
      if (clicks[page] !== -1) continue;
      clicks[page] = level;
      for (const to of ways[page]) if (clicks[to] === -1) begin(to, level + 1);
    }
  return clicks;
}

/**
 * The page that lists the posts, by index: the one at which the addresses of posts begin, the home page where none stands there.
 *
 * @example listPageOf(graph, '/journal/{slug}') // the index of `/journal`
 */
export function listPageOf({ pages }: SiteGraph, addressPattern: string): number {
  const path = comparablePath(folderOfPosts(addressPattern));
  return Math.max(
    0,
    pages.findIndex((page) => page.path === path && page.postId === null),
  );
}
