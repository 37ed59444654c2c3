import forceAtlas2 from 'graphology-layout-forceatlas2';
import { undirected } from './groups.ts';
import type { SiteGraph } from './site-graph.ts';

/** Where each page lies, by index; all within 0-1 in both directions. */
export interface MapPlaces {
  x: Float32Array;
  y: Float32Array;
}

/** An angle by which points on a spiral never meet. */
const GOLDEN = Math.PI * (3 - Math.sqrt(5));
/** Rounds of the layout: a large one begins near its end already, as groups are laid out together. */
const roundsFor = (pages: number): number => (pages <= 150 ? 400 : pages <= 600 ? 200 : 60);

/**
 * Places for the pages of a graph: pages that link to each other lie near, groups beside each other; the same graph lies the same
 * every time (M. Jacomy and others, "ForceAtlas2", 2014). Pages without any link lie in rows along the foot.
 *
 * @param groups the number of each page's group; -1: none
 */
export function mapLayout(graph: SiteGraph, groups: Int32Array): MapPlaces {
  const count = graph.pages.length;
  const x = new Float32Array(count);
  const y = new Float32Array(count);
  const linked: number[] = [];
  const alone: number[] = [];
  for (let page = 0; page < count; page++) (groups[page] === -1 ? alone : linked).push(page);
  if (linked.length > 0) {
    const model = undirected(graph);
    for (const page of alone) model.dropNode(String(page));
    const largest = Math.max(...linked.map((page) => groups[page])) + 1;
    const within = new Map<number, number>();
    for (const page of linked) {
      const group = groups[page];
      const at = within.get(group) ?? 0;
      within.set(group, at + 1);
      const far = 100 * Math.sqrt(group / largest);
      const near = 4 * Math.sqrt(at);
      model.mergeNodeAttributes(String(page), {
        x: far * Math.cos(group * GOLDEN) + near * Math.cos(at * GOLDEN),
        y: far * Math.sin(group * GOLDEN) + near * Math.sin(at * GOLDEN),
      });
    }
    const settings = { ...forceAtlas2.inferSettings(model), barnesHutOptimize: linked.length > 300 };
    const found = forceAtlas2(model, { iterations: roundsFor(linked.length), settings });
    for (const page of linked) {
      const place = found[String(page)];
      x[page] = place.x;
      y[page] = place.y;
    }
  }
  // The linked ones above, the others in rows below.
  const rows = alone.length === 0 ? 0 : Math.ceil(Math.sqrt(alone.length / 8));
  const foot = linked.length === 0 ? 1 : Math.min(0.3, 0.06 * rows);
  spread(x, linked, 0, 1);
  spread(y, linked, 0, alone.length === 0 ? 1 : 0.94 - foot);
  const perRow = Math.ceil(alone.length / Math.max(1, rows));
  alone.forEach((page, at) => {
    const row = Math.floor(at / perRow);
    const inRow = Math.min(perRow, alone.length - row * perRow);
    x[page] = ((at % perRow) + 0.5) / Math.max(inRow, perRow);
    y[page] = 1 - foot + ((row + 0.5) / rows) * foot;
  });
  return { x, y };
}

/** Stretches values so that they reach from one to another. */
function spread(values: Float32Array, which: readonly number[], from: number, to: number): void {
  let least = Number.POSITIVE_INFINITY;
  let most = Number.NEGATIVE_INFINITY;
  for (const at of which) {
    least = Math.min(least, values[at]);
    most = Math.max(most, values[at]);
  }
  const width = most - least;
  for (const at of which)
    values[at] = width > 0 ? from + ((values[at] - least) / width) * (to - from) : (from + to) / 2;
}
