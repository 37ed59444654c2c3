import type { Block } from '../../draft/index.ts';
import { matchingOf, PhraseMatcher } from '../../language/index.ts';
import { type LinkBook, type LinkOffer, linksOut } from '../linking/index.ts';
import { DAMPING, linkCounts, pageWeights } from './page-weight.ts';
import type { SiteGraph } from './site-graph.ts';

/** A link that could be set: the page it would stand on, the page it would lead to, and the words that would carry it. */
export interface LinkCandidate {
  from: number;
  to: number;
  offer: LinkOffer;
}

/** A link that helps, with what it would do. */
export interface HelpfulLink extends LinkCandidate {
  /** Share of the site's weight that the page has now and would have, the links before it in the list set too; 0-1. */
  before: number;
  after: number;
  /** Pages whose share falls most by it, and to what. */
  losers: { page: number; before: number; after: number }[];
  /** Nothing links to the page yet. */
  isFirst: boolean;
}

/** Links of one page, and to one page, that are proposed at most: a text full of new links helps nobody. */
const MOST_FROM = 2;
const MOST_TO = 2;
/** What a link to a page counts for that nothing links to yet. */
const FIRST = 1.5;
const LOSERS = 3;

/** Below this strength of its words a link is not proposed over the whole site: nobody stands by who knows the text. */
const LEAST_STRENGTH = 0.6;

/**
 * The links that one post could set to the pages of the book; the words of its own keyword carry none.
 *
 * @param from index of the post in the graph
 * @param linked paths that it links already, its own among them
 * @param indexOf index of a page in the graph by its path
 */
export function linkCandidates(
  from: number,
  blocks: readonly Block[],
  { keyword, language }: { keyword: string; language: string },
  book: LinkBook,
  linked: ReadonlySet<string>,
  indexOf: ReadonlyMap<string, number>,
): LinkCandidate[] {
  const own = new PhraseMatcher([keyword].filter(Boolean), book.vocabulary, matchingOf(language));
  return linksOut(blocks, book, linked, (text, tokens) => own.match(text, tokens)).flatMap((offer) => {
    const to = indexOf.get(offer.target.path);
    return to === undefined || offer.strength < LEAST_STRENGTH ? [] : [{ from, to, offer }];
  });
}

/** Weight that a page would pass on by one more link. */
const passedOn = (weight: number, outs: number) => (DAMPING * weight) / (outs + 1);

/** Pages that one more link would help most: those with the least weight, by index. */
export function neediestPages(
  weights: Float64Array,
  isOpen: (page: number) => boolean,
  most: number,
): number[] {
  return Array.from(weights.keys())
    .filter((page) => page !== 0 && isOpen(page))
    .sort((a, b) => weights[a] - weights[b] || a - b)
    .slice(0, most);
}

/** Posts that would pass on most by one more link, by index. */
export function strongestPages(
  graph: SiteGraph,
  weights: Float64Array,
  isOpen: (page: number) => boolean,
  most: number,
): number[] {
  const { outs } = linkCounts(graph);
  return graph.pages
    .map((_, page) => page)
    .filter((page) => graph.pages[page].postId !== null && isOpen(page))
    .sort((a, b) => passedOn(weights[b], outs[b]) - passedOn(weights[a], outs[a]) || a - b)
    .slice(0, most);
}

/**
 * The links that help most, one after the other, each reckoned with those before it set: by how much they multiply the weight of the
 * page they lead to, and by how surely the words speak of it. Of one page and to one page two at most. The effect is computed
 * on the whole site.
 */
export function helpfulLinks(
  graph: SiteGraph,
  candidates: readonly LinkCandidate[],
  most: number,
): HelpfulLink[] {
  const { outs, ins } = linkCounts(graph);
  const links: { from: number; to: number }[] = graph.links.map(({ from, to }) => ({ from, to }));
  const has = new Set(links.map(({ from, to }) => from * graph.pages.length + to));
  let weights = pageWeights(graph);
  const chosen: HelpfulLink[] = [];
  const fromCount = new Map<number, number>();
  const toCount = new Map<number, number>();
  const open = candidates.filter(({ from, to }) => from !== to && !has.has(from * graph.pages.length + to));
  const value = ({ from, to, offer }: LinkCandidate): number =>
    Math.log(1 + passedOn(weights[from], outs[from]) / weights[to]) *
    offer.strength *
    (ins[to] === 0 ? FIRST : 1);
  while (chosen.length < most) {
    let best: LinkCandidate | null = null;
    let bestValue = 0;
    for (const one of open) {
      if ((fromCount.get(one.from) ?? 0) >= MOST_FROM || (toCount.get(one.to) ?? 0) >= MOST_TO) continue;
      if (has.has(one.from * graph.pages.length + one.to) || overlaps(one, chosen)) continue;
      const own = value(one);
      if (own > bestValue) {
        best = one;
        bestValue = own;
      }
    }
    if (!best) break;
    const { from, to } = best;
    links.push({ from, to });
    has.add(from * graph.pages.length + to);
    const after = pageWeights({ pages: graph.pages, links }, weights);
    const before = weights;
    chosen.push({
      ...best,
      before: before[to],
      after: after[to],
      isFirst: ins[to] === 0,
      losers: graph.pages
        .map((_, page) => ({ page, before: before[page], after: after[page] }))
        .filter((one) => one.page !== to && one.after < one.before)
        .sort((a, b) => a.after - a.before - (b.after - b.before) || a.page - b.page)
        .slice(0, LOSERS),
    });
    weights = after;
    outs[from] += 1;
    ins[to] += 1;
    fromCount.set(from, (fromCount.get(from) ?? 0) + 1);
    toCount.set(to, (toCount.get(to) ?? 0) + 1);
  }
  return chosen;
}

/** Words that carry a link already carry no other. */
const overlaps = ({ from, offer }: LinkCandidate, chosen: readonly LinkCandidate[]): boolean =>
  chosen.some(
    (one) =>
      one.from === from &&
      one.offer.blockId === offer.blockId &&
      one.offer.start < offer.end &&
      one.offer.end > offer.start,
  );
