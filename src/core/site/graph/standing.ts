import { tellingStems } from '../../language/index.ts';
import { type BlogLists, clicksFromHome } from './clicks-from-home.ts';
import { groupsOf, piecesOf } from './groups.ts';
import { linkCounts, pageWeights } from './page-weight.ts';
import type { GraphPage, SiteGraph } from './site-graph.ts';

/** How one page stands among the others. */
export interface PageStanding {
  /** Share of the site's weight that links give it, 0-1. */
  weight: number;
  /** Clicks from the home page; -1: no way leads there. */
  clicks: number;
  /** Other pages that link to it, and that it links to. */
  ins: number;
  outs: number;
  /** Number of its group; -1: it is linked with nothing. */
  group: number;
  /** Words by which it is linked to, that name nothing of it. */
  poor: string[];
  /** All words by which it is linked to. */
  words: number;
}

/** How a site hangs together. */
export interface SiteStanding {
  pages: PageStanding[];
  groups: { name: string; size: number }[];
  /** Pieces that no link joins, pages without any link not counted. */
  pieces: number;
  /** Posts that no other page links to, by index; those that readers can open. */
  orphans: number[];
  /** Posts that link to no other page. */
  deadEnds: number[];
  /** Pages that hold the site together: far more links than most. */
  hubs: number[];
  /** Pages that several link to, most of them by words that do not name it. */
  poorlyNamed: number[];
}

/** Links from which a page is looked at for its words. */
const LEAST_WORDS = 3;
/** Standard deviations above the mean from which a page is a hub. */
const HUB = 2;
const LEAST_HUB = 4;

const spaced = (address: string) => address.replace(/[-_.+/%]+/g, ' ');

/** Words that name what a page is about. */
const namesOf = ({ title, keyword, path }: GraphPage): Set<string> =>
  tellingStems(`${title} ${keyword} ${spaced(path.split('/').at(-1) ?? '')}`);

/** A stem is kin of another that it begins with from so many letters: "rental" of "rent". */
const KIN = 4;
const areKin = (one: string, other: string): boolean =>
  one === other ||
  (Math.min(one.length, other.length) >= KIN && (one.startsWith(other) || other.startsWith(one)));

/** The first letters of a title's words: "RSC" names "React Server Components". */
const initialsOf = (title: string): string =>
  (title.match(/(?<![\p{L}\p{N}])[\p{L}\p{N}]/gu) ?? []).join('').toLowerCase();

/** Whether the words of a link say what the page is about, or the section of it that they lead to. */
function isNamedBy(text: string, fragment: string, title: string, names: ReadonlySet<string>): boolean {
  const words = [...tellingStems(text)];
  const sections = tellingStems(spaced(fragment));
  return (
    words.some((each) => [...names, ...sections].some((name) => areKin(each, name))) ||
    (/^\p{Lu}{2,6}$/u.test(text) && initialsOf(title).includes(text.toLowerCase()))
  );
}

/** Puts together how each page of a site stands, and what is wrong with the whole. */
export function siteStanding(graph: SiteGraph, lists: BlogLists): SiteStanding {
  const { pages, links } = graph;
  const weights = pageWeights(graph);
  const clicks = clicksFromHome(graph, lists);
  const groups = groupsOf(graph);
  const { ins, outs } = linkCounts(graph);
  const poor: string[][] = pages.map(() => []);
  const words = new Uint32Array(pages.length);
  const names = new Map<number, Set<string>>();
  for (const { to, words: own, fragments } of links) {
    // By what the home page is linked to does not matter: everybody knows it.
    if (to === 0) continue;
    let wanted = names.get(to);
    if (!wanted) {
      wanted = namesOf(pages[to]);
      names.set(to, wanted);
    }
    for (const [at, text] of own.entries()) {
      words[to] += 1;
      if (!isNamedBy(text, fragments[at] ?? '', pages[to].title, wanted)) poor[to].push(text);
    }
  }
  const isPost = (page: number) => pages[page].postId !== null && lists.isOpen(page);
  const all = pages.map((_, page) => page);
  const degrees = all.map((page) => ins[page] + outs[page]);
  const mean = degrees.reduce((sum, one) => sum + one, 0) / Math.max(1, degrees.length);
  const spread = Math.sqrt(
    degrees.reduce((sum, one) => sum + (one - mean) ** 2, 0) / Math.max(1, degrees.length),
  );
  const pieces = piecesOf(graph);
  const byWeight = (a: number, b: number) => weights[b] - weights[a] || a - b;
  return {
    pages: all.map((page) => ({
      weight: weights[page],
      clicks: clicks[page],
      ins: ins[page],
      outs: outs[page],
      group: groups[page],
      poor: poor[page],
      words: words[page],
    })),
    groups: namedGroups(graph, groups, weights),
    pieces: new Set(all.filter((page) => degrees[page] > 0).map((page) => pieces[page])).size,
    orphans: all.filter((page) => isPost(page) && ins[page] === 0),
    deadEnds: all.filter((page) => isPost(page) && outs[page] === 0),
    hubs: all
      .filter((page) => degrees[page] >= Math.max(LEAST_HUB, mean + HUB * spread))
      .sort((a, b) => degrees[b] - degrees[a] || a - b),
    poorlyNamed: all
      .filter((page) => words[page] >= LEAST_WORDS && poor[page].length * 2 > words[page])
      .sort(byWeight),
  };
}

/** Groups by the categories that most of their posts are in, else by their heaviest page. */
function namedGroups(
  { pages }: SiteGraph,
  groups: Int32Array,
  weights: Float64Array,
): { name: string; size: number }[] {
  const members: number[][] = [];
  groups.forEach((group, page) => {
    if (group === -1) return;
    members[group] ??= [];
    members[group].push(page);
  });
  const taken = new Set<string>();
  return members.map((own) => {
    const counts = new Map<string, number>();
    for (const page of own) {
      const { category } = pages[page];
      if (category) counts.set(category, (counts.get(category) ?? 0) + 1);
    }
    const [most] = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
    const heaviest = own.reduce((best, page) => (weights[page] > weights[best] ? page : best), own[0]);
    let name = most && most[1] * 2 > own.length ? most[0] : `Around “${pages[heaviest].title}”`;
    if (taken.has(name)) name = `Around “${pages[heaviest].title}”`;
    taken.add(name);
    return { name, size: own.length };
  });
}
