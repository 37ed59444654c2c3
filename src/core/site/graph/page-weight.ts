import type { SiteGraph, SiteLink } from './site-graph.ts';

/** Share of a page's weight that its links pass on (S. Brin and L. Page, "The Anatomy of a Large-Scale Hypertextual Web Search Engine", 1998). */
export const DAMPING = 0.85;
/** It is near enough where all pages together change by less. */
const NEAR = 1e-9;
const MOST_ROUNDS = 200;

/**
 * How the weight of a site is shared out by the links in its texts: PageRank, a share for each page, all together 1. A page without
 * links of its own, or of which none are known, gives its weight to all alike.
 *
 * @param begin shares to begin with: those of almost the same graph save rounds
 */
export function pageWeights(
  { pages, links }: { pages: { length: number }; links: readonly Pick<SiteLink, 'from' | 'to'>[] },
  begin?: Float64Array,
): Float64Array {
  const count = pages.length;
  if (count === 0) return new Float64Array(0);
  const outs = new Uint32Array(count);
  const from = new Uint32Array(links.length);
  const to = new Uint32Array(links.length);
  links.forEach((link, at) => {
    from[at] = link.from;
    to[at] = link.to;
    outs[link.from] += 1;
  });
  let now = begin?.length === count ? begin.slice() : new Float64Array(count).fill(1 / count);
  let next = new Float64Array(count);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let loose = 0;
    for (let page = 0; page < count; page++) if (outs[page] === 0) loose += now[page];
    next.fill((1 - DAMPING + DAMPING * loose) / count);
    for (let at = 0; at < from.length; at++) next[to[at]] += (DAMPING * now[from[at]]) / outs[from[at]];
    let change = 0;
    for (let page = 0; page < count; page++) change += Math.abs(next[page] - now[page]);
    [now, next] = [next, now];
    if (change < NEAR) break;
  }
  return now;
}

/** Links that go out from each page, and those that come in. */
export function linkCounts({ pages, links }: SiteGraph): { outs: Uint32Array; ins: Uint32Array } {
  const outs = new Uint32Array(pages.length);
  const ins = new Uint32Array(pages.length);
  for (const { from, to } of links) {
    outs[from] += 1;
    ins[to] += 1;
  }
  return { outs, ins };
}
