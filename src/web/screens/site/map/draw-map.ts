import type { SiteMapView } from '../../../workers/site-map.ts';

/** How the map lies on the paper: pixels right, pixels down, and how many times as large. */
export interface MapView {
  x: number;
  y: number;
  k: number;
}

/** What is drawn. */
export interface MapScene {
  view: Pick<SiteMapView, 'pages' | 'links'>;
  /** Colour of each page, by name. */
  tokens: readonly string[];
  /** Index of the page in hand; null: none. */
  chosen: number | null;
  /** Pages that are looked for; null: all. */
  sought: ReadonlySet<number> | null;
}

const EDGE = 36;
const LEAST_RADIUS = 3;
const MORE_RADIUS = 15;
/** Names that stand on the map at its own size; more come as it is drawn larger. */
const NAMES = 14;
const MOST_NAMES = 160;
const NAME_LENGTH = 34;
const FEW = 400;

/** Where a page lies on a canvas of some size. */
export const placeOf = (
  { x, y }: { x: number; y: number },
  { x: right, y: down, k }: MapView,
  width: number,
  height: number,
): [x: number, y: number] => [
  (EDGE + x * (width - 2 * EDGE)) * k + right,
  (EDGE + y * (height - 2 * EDGE)) * k + down,
];

/** Pages from which they are drawn smaller, so that the paper holds them. */
const MANY = 100;
const [SMALLEST, LARGEST] = [1.5, 26];

/**
 * Pixels from a page's middle to its edge: by the root of its weight, so that its area tells it; smaller where there are many, larger
 * as the map is.
 */
const radiusOf = (weight: number, heaviest: number, count: number, k: number): number =>
  Math.max(
    SMALLEST,
    Math.min(
      LARGEST,
      (LEAST_RADIUS + MORE_RADIUS * Math.sqrt(weight / heaviest)) *
        Math.min(1, Math.sqrt(MANY / count)) *
        k ** 0.5,
    ),
  );

/** Draws the map; while it is moved (`isMoving`) without its many links. */
export function drawMap(canvas: HTMLCanvasElement, scene: MapScene, view: MapView, isMoving: boolean): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const ratio = window.devicePixelRatio || 1;
  const [width, height] = [canvas.width / ratio, canvas.height / ratio];
  const style = getComputedStyle(canvas);
  const colour = (token: string) => style.getPropertyValue(`--c-${token}`).trim();
  const { pages, links } = scene.view;
  const heaviest = Math.max(...pages.map(({ weight }) => weight), Number.EPSILON);
  const places = pages.map((page) => placeOf(page, view, width, height));
  const isSought = (page: number) => scene.sought === null || scene.sought.has(page);
  context.setTransform(ratio, 0, 0, ratio, 0, 0);
  context.clearRect(0, 0, width, height);
  const line = (from: number, to: number) => {
    context.moveTo(places[from][0], places[from][1]);
    context.lineTo(places[to][0], places[to][1]);
  };
  const { chosen } = scene;
  if (!isMoving || links.length < 600) {
    context.beginPath();
    for (const { from, to } of links) if (from !== chosen && to !== chosen) line(from, to);
    context.strokeStyle = colour('ink');
    context.globalAlpha = Math.max(0.03, Math.min(0.22, 30 / Math.sqrt(links.length + 1) / 4));
    context.lineWidth = 1;
    context.stroke();
    context.globalAlpha = 1;
  }
  if (chosen !== null)
    for (const [token, own] of [
      ['marram', links.filter(({ from }) => from === chosen)],
      ['ochre', links.filter(({ to }) => to === chosen)],
    ] as const) {
      context.beginPath();
      for (const { from, to } of own) line(from, to);
      context.strokeStyle = colour(token);
      context.lineWidth = 1.6;
      context.stroke();
    }
  for (const [page, [x, y]] of places.entries()) {
    if (x < -30 || y < -30 || x > width + 30 || y > height + 30) continue;
    const radius = radiusOf(pages[page].weight, heaviest, pages.length, view.k);
    context.globalAlpha = isSought(page) ? 1 : 0.15;
    context.beginPath();
    context.arc(x, y, radius, 0, 2 * Math.PI);
    context.fillStyle = colour(scene.tokens[page]);
    context.fill();
    if (radius > 3) {
      context.lineWidth = 1.2;
      context.strokeStyle = colour('paper');
      context.stroke();
    }
    // A page that is no post is a ring.
    if (pages[page].postId === null && radius > 4) {
      context.beginPath();
      context.arc(x, y, radius * 0.45, 0, 2 * Math.PI);
      context.fillStyle = colour('paper');
      context.fill();
    }
    if (page === chosen) {
      context.beginPath();
      context.arc(x, y, radius + 3.5, 0, 2 * Math.PI);
      context.lineWidth = 2;
      context.strokeStyle = colour('ink');
      context.stroke();
    }
  }
  context.globalAlpha = 1;
  drawNames(context, scene, places, { view, width, height, heaviest, colour });
}

/** Pixels of a name: left, top, right, bottom. */
type Box = [left: number, top: number, right: number, bottom: number];

/** Where a name may stand: to the right of its page, to its left, below, above. */
const placesOfName = (x: number, y: number, radius: number, long: number): Box[] =>
  [
    [x + radius + 4, y - 8],
    [x - radius - 4 - long, y - 8],
    [x - long / 2, y + radius + 2],
    [x - long / 2, y - radius - 18],
  ].map(([left, top]): Box => [left - 2, top, left + long + 2, top + 16]);

/** Names of the heaviest pages, none over another; the one in hand first. */
function drawNames(
  context: CanvasRenderingContext2D,
  { view: { pages }, chosen, sought }: MapScene,
  places: readonly (readonly [number, number])[],
  {
    view,
    width,
    height,
    heaviest,
    colour,
  }: {
    view: MapView;
    width: number;
    height: number;
    heaviest: number;
    colour: (token: string) => string;
  },
): void {
  const most = Math.min(MOST_NAMES, Math.round(NAMES * view.k * view.k));
  const order = pages
    .map((_, page) => page)
    .filter((page) => sought === null || sought.has(page) || page === chosen)
    .sort((a, b) => Number(b === chosen) - Number(a === chosen) || pages[b].weight - pages[a].weight);
  // Where few pages are, no name stands on another page either.
  const taken: [...Box, owner: number][] =
    pages.length > FEW
      ? []
      : pages.map(({ weight }, page) => {
          const [x, y] = places[page];
          const radius = radiusOf(weight, heaviest, pages.length, view.k);
          return [x - radius, y - radius, x + radius, y + radius, page];
        });
  let drawn = 0;
  for (const page of order) {
    if (drawn >= most) break;
    const [x, y] = places[page];
    if (x < 0 || y < 0 || x > width || y > height) continue;
    const { title, weight } = pages[page];
    const name = title.length > NAME_LENGTH ? `${title.slice(0, NAME_LENGTH - 1).trimEnd()}…` : title;
    context.font = `${page === chosen ? '600 ' : ''}12px "Public Sans Variable", sans-serif`;
    const long = context.measureText(name).width;
    const radius = radiusOf(weight, heaviest, pages.length, view.k);
    const isFree = ([l, t, r, b]: Box): boolean =>
      l >= 0 &&
      r <= width &&
      !taken.some((one) => one[4] !== page && one[0] < r && one[2] > l && one[1] < b && one[3] > t);
    const box = placesOfName(x, y, radius, long).find(isFree) ?? null;
    const spot = box ?? (page === chosen ? placesOfName(x, y, radius, long)[x > width / 2 ? 1 : 0] : null);
    if (!spot) continue;
    taken.push([...spot, page]);
    drawn += 1;
    const [left, top] = [spot[0] + 2, spot[1] + 12];
    context.lineWidth = 3;
    context.strokeStyle = colour('paper');
    context.strokeText(name, left, top);
    context.fillStyle = colour('ink');
    context.fillText(name, left, top);
  }
}
