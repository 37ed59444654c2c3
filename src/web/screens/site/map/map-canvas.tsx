import { quadtree } from 'd3-quadtree';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';
import { Minus, Plus, Scan } from 'lucide-react';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { IconButton } from '../../../ui/icon-button.tsx';
import { drawMap, type MapScene, type MapView, placeOf } from './draw-map.ts';

const [SMALLEST, LARGEST] = [0.6, 14];
/** Pixels from a page at which a press still means it. */
const NEAR = 22;
const STEP = 1.5;

/** Angle of each arrow key, in quarter turns from the right. */
const ARROWS = new Map([
  ['ArrowRight', 0],
  ['ArrowDown', 1],
  ['ArrowLeft', 2],
  ['ArrowUp', 3],
]);

/** The next page in a direction: the nearest within an eighth turn to either side; null: none. */
function nextInDirection(scene: MapScene, from: number, quarter: number): number | null {
  const { pages } = scene.view;
  let best: number | null = null;
  let least = Number.POSITIVE_INFINITY;
  pages.forEach(({ x, y }, page) => {
    if (page === from || (scene.sought !== null && !scene.sought.has(page))) return;
    const [right, down] = [x - pages[from].x, y - pages[from].y];
    const turn = Math.abs(Math.atan2(down, right) - (quarter * Math.PI) / 2);
    const away = Math.min(turn, 2 * Math.PI - turn);
    const far = right * right + down * down;
    if (away <= Math.PI / 4 && far < least) {
      best = page;
      least = far;
    }
  });
  return best;
}

/** The map on paper: dragged and drawn larger by mouse, wheel, fingers and keys; the table beside it says the same. */
export function MapCanvas({
  scene,
  summary,
  onChoose,
  onOpen,
}: {
  scene: MapScene;
  /** What it shows in a sentence, for those who do not see it. */
  summary: string;
  onChoose: (page: number | null) => void;
  onOpen: (page: number) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const view = useRef<MapView>({ x: 0, y: 0, k: 1 });
  const now = useRef(scene);
  const zooming = useRef<ZoomBehavior<HTMLCanvasElement, unknown> | null>(null);
  const [size, setSize] = useState<[width: number, height: number]>([0, 0]);
  const drawing = useRef(0);
  const draw = useCallback((isMoving: boolean) => {
    cancelAnimationFrame(drawing.current);
    drawing.current = requestAnimationFrame(() => {
      if (canvas.current) drawMap(canvas.current, now.current, view.current, isMoving);
    });
  }, []);
  useEffect(() => {
    now.current = scene;
    draw(false);
  }, [scene, draw]);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const watch = new ResizeObserver(() => setSize([element.clientWidth, element.clientHeight]));
    watch.observe(element);
    // Another theme has other colours.
    const themes = new MutationObserver(() => draw(false));
    themes.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => {
      watch.disconnect();
      themes.disconnect();
    };
  }, [draw]);
  useEffect(() => {
    const element = canvas.current;
    if (!element || size[0] === 0) return;
    const ratio = window.devicePixelRatio || 1;
    element.width = Math.round(size[0] * ratio);
    element.height = Math.round(size[1] * ratio);
    draw(false);
  }, [size, draw]);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const own = zoom<HTMLCanvasElement, unknown>()
      .scaleExtent([SMALLEST, LARGEST])
      .on('zoom', ({ transform: { x, y, k } }: D3ZoomEvent<HTMLCanvasElement, unknown>) => {
        view.current = { x, y, k };
        draw(true);
      })
      .on('end', () => draw(false));
    zooming.current = own;
    select(element).call(own).on('dblclick.zoom', null);
    return () => {
      select(element).on('.zoom', null);
    };
  }, [draw]);
  // Brings the page in hand onto the paper where it is not.
  useEffect(() => {
    const element = canvas.current;
    const { chosen } = scene;
    if (chosen === null || !element || size[0] === 0) return;
    const { k } = view.current;
    const [x, y] = placeOf(scene.view.pages[chosen], view.current, size[0], size[1]);
    if (x > 40 && y > 40 && x < size[0] - 40 && y < size[1] - 40) return;
    const [bareX, bareY] = placeOf(scene.view.pages[chosen], { x: 0, y: 0, k: 1 }, size[0], size[1]);
    zooming.current?.transform(
      select(element),
      zoomIdentity.translate(size[0] / 2 - bareX * k, size[1] / 2 - bareY * k).scale(k),
    );
  }, [scene, size]);
  const tree = useMemo(
    () =>
      quadtree<number>()
        .x((page) => placeOf(scene.view.pages[page], { x: 0, y: 0, k: 1 }, size[0], size[1])[0])
        .y((page) => placeOf(scene.view.pages[page], { x: 0, y: 0, k: 1 }, size[0], size[1])[1])
        .addAll(size[0] === 0 ? [] : scene.view.pages.map((_, page) => page)),
    [scene.view, size],
  );
  const at = (clientX: number, clientY: number): number | null => {
    const box = canvas.current?.getBoundingClientRect();
    if (!box) return null;
    const { x, y, k } = view.current;
    return tree.find((clientX - box.left - x) / k, (clientY - box.top - y) / k, NEAR / k) ?? null;
  };
  const scale = (by: number) => {
    if (canvas.current) zooming.current?.scaleBy(select(canvas.current), by);
  };
  const whole = () => {
    if (canvas.current) zooming.current?.transform(select(canvas.current), zoomIdentity);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const quarter = ARROWS.get(event.key);
    const { chosen } = scene;
    if (quarter !== undefined) {
      const first = scene.view.pages.length > 0 ? 0 : null;
      onChoose(chosen === null ? first : (nextInDirection(scene, chosen, quarter) ?? chosen));
    } else if (event.key === '+' || event.key === '=') scale(STEP);
    else if (event.key === '-') scale(1 / STEP);
    else if (event.key === '0') whole();
    else if (event.key === 'Escape') onChoose(null);
    else if (event.key === 'Enter' && chosen !== null) onOpen(chosen);
    else return;
    event.preventDefault();
  };
  return (
    <div className="relative flex min-h-[320px] min-w-0 flex-1">
      <div
        ref={frame}
        role="application"
        aria-label={summary}
        aria-roledescription="map"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: arrow keys walk over the map
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="relative min-w-0 flex-1 overflow-hidden"
      >
        <canvas
          ref={canvas}
          aria-hidden
          onClick={({ clientX, clientY }) => onChoose(at(clientX, clientY))}
          onDoubleClick={({ clientX, clientY }) => {
            const page = at(clientX, clientY);
            if (page !== null) onOpen(page);
          }}
          className="absolute inset-0 h-full w-full cursor-grab active:cursor-grabbing"
        />
      </div>
      <div className="absolute right-3 bottom-3 flex flex-col gap-1 rounded-md border bg-sheet p-1">
        <IconButton name="Larger" icon={Plus} onClick={() => scale(STEP)} />
        <IconButton name="Smaller" icon={Minus} onClick={() => scale(1 / STEP)} />
        <IconButton name="The whole map" icon={Scan} onClick={whole} />
      </div>
    </div>
  );
}
