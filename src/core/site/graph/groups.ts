import Graph from 'graphology';
import louvain from 'graphology-communities-louvain';
import type { SiteGraph } from './site-graph.ts';

/** Numbers 0-1 that are the same every time (mulberry32, public domain). */
export function repeatable(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** The graph for those who reckon with an undirected one: a link in both directions weighs two. */
export function undirected({ pages, links }: SiteGraph): Graph {
  const graph = new Graph({ type: 'undirected' });
  pages.forEach((_, page) => {
    graph.addNode(String(page));
  });
  for (const { from, to } of links)
    graph.updateEdge(String(from), String(to), (known) => ({ weight: (known['weight'] ?? 0) + 1 }));
  return graph;
}

/** Pages that hang together by links in whichever direction: for each page the lowest index of its piece. */
export function piecesOf({ pages, links }: SiteGraph): Int32Array {
  const parent = Int32Array.from(pages, (_, page) => page);
  const top = (page: number): number => {
    let at = page;
    while (parent[at] !== at) {
      parent[at] = parent[parent[at]];
      at = parent[at];
    }
    return at;
  };
  for (const { from, to } of links) {
    const [a, b] = [top(from), top(to)];
    if (a < b) parent[b] = a;
    else parent[a] = b;
  }
  return parent.map((_, page) => top(page));
}

/**
 * Pages that link among each other more than with the rest, by number: 0 is the largest group, and so on; -1 for a page that nothing
 * is linked with. (V. Blondel and others, "Fast unfolding of communities in large networks", 2008.)
 */
export function groupsOf(graph: SiteGraph): Int32Array {
  const groups = new Int32Array(graph.pages.length).fill(-1);
  if (graph.links.length === 0) return groups;
  const found = louvain(undirected(graph), { rng: repeatable(1), getEdgeWeight: 'weight' });
  const alone = new Uint8Array(graph.pages.length).fill(1);
  for (const { from, to } of graph.links) {
    alone[from] = 0;
    alone[to] = 0;
  }
  const members = new Map<number, number[]>();
  graph.pages.forEach((_, page) => {
    if (alone[page]) return;
    const group = found[String(page)];
    const list = members.get(group);
    if (list) list.push(page);
    else members.set(group, [page]);
  });
  [...members.values()]
    .sort((a, b) => b.length - a.length || a[0] - b[0])
    .forEach((pages, group) => {
      for (const page of pages) groups[page] = group;
    });
  return groups;
}
