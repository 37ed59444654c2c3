import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { countInWords } from '../../ui/figures.ts';

interface Point {
  row: number;
  volume: number;
  difficulty: number;
}

const [WIDTH, HEIGHT] = [296, 260];
const EDGE = { left: 36, right: 8, top: 8, bottom: 26 };
const TICKS = [1, 10, 100, 1000, 10_000, 100_000, 1_000_000];

/** Whether a point lies within a drawn line that closes itself (even-odd rule). */
export function isInside(line: readonly [number, number][], x: number, y: number): boolean {
  let inside = false;
  for (let at = 0, before = line.length - 1; at < line.length; before = at++) {
    const [ax, ay] = line[at];
    const [bx, by] = line[before];
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}

/** Volume against difficulty. A line drawn around points selects their rows; Alt keeps what is selected already. */
export function VolumeChart({
  points,
  selected,
  onSelect,
}: {
  points: readonly Point[];
  selected: ReadonlySet<number>;
  onSelect: (rows: ReadonlySet<number>) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [lasso, setLasso] = useState<[number, number][]>([]);
  const most = Math.max(10, ...points.slice(0, 200_000).map(({ volume }) => volume));
  const [x, y] = useMemo(() => {
    const top = Math.log10(most + 1);
    return [
      (difficulty: number) => EDGE.left + (difficulty / 100) * (WIDTH - EDGE.left - EDGE.right),
      (volume: number) =>
        HEIGHT - EDGE.bottom - (Math.log10(volume + 1) / top) * (HEIGHT - EDGE.top - EDGE.bottom),
    ];
  }, [most]);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string) => style.getPropertyValue(name).trim();
    const scale = devicePixelRatio;
    context.setTransform(scale, 0, 0, scale, 0, 0);
    context.clearRect(0, 0, WIDTH, HEIGHT);
    context.font = '11px "Public Sans Variable", system-ui, sans-serif';
    context.strokeStyle = colour('--c-line');
    context.fillStyle = colour('--c-ink-soft');
    context.textAlign = 'right';
    for (const tick of TICKS.filter((value) => value <= most * 1.2)) {
      context.beginPath();
      context.moveTo(EDGE.left, y(tick));
      context.lineTo(WIDTH - EDGE.right, y(tick));
      context.stroke();
      context.fillText(tick >= 1000 ? `${tick / 1000}k` : String(tick), EDGE.left - 5, y(tick) + 4);
    }
    context.textAlign = 'center';
    for (const tick of [0, 25, 50, 75, 100])
      context.fillText(String(tick), Math.min(x(tick), WIDTH - 12), HEIGHT - 10);
    const dot = (point: Point, size: number) => {
      context.beginPath();
      context.arc(x(point.difficulty), y(point.volume), size, 0, 7);
      context.fill();
    };
    context.globalAlpha = points.length > 3000 ? 0.35 : 0.65;
    context.fillStyle = colour('--c-ink-soft');
    for (const point of points) if (!selected.has(point.row)) dot(point, points.length > 3000 ? 1.5 : 2.6);
    context.globalAlpha = 1;
    context.fillStyle = colour('--c-marram');
    for (const point of points) if (selected.has(point.row)) dot(point, 3.4);
  }, [points, selected, x, y, most]);
  const at = (event: PointerEvent): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  return (
    <section aria-label="Volume against difficulty" className="px-4 py-4">
      <h2 className="mb-1 font-semibold">Volume against difficulty</h2>
      <p className="mb-2 text-[13px] text-soft">
        Draw around points to select their rows. High and left is popular and within reach.
      </p>
      <div
        className="relative cursor-crosshair touch-none select-none"
        style={{ width: WIDTH, height: HEIGHT }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setLasso([at(event)]);
        }}
        onPointerMove={(event) => lasso.length > 0 && setLasso([...lasso, at(event)])}
        onPointerUp={(event) => {
          const rows = points
            .filter((point) => isInside(lasso, x(point.difficulty), y(point.volume)))
            .map(({ row }) => row);
          setLasso([]);
          if (lasso.length > 2) onSelect(new Set(event.altKey ? [...selected, ...rows] : rows));
        }}
      >
        <canvas
          ref={canvas}
          role="img"
          aria-label={`${countInWords(points.length)} phrases by difficulty (across, 0 to 100) and searches a month (up)`}
          width={WIDTH * (globalThis.devicePixelRatio || 1)}
          height={HEIGHT * (globalThis.devicePixelRatio || 1)}
          style={{ width: WIDTH, height: HEIGHT }}
        />
        <svg className="pointer-events-none absolute inset-0" width={WIDTH} height={HEIGHT} aria-hidden>
          {lasso.length > 1 && (
            <polygon
              points={lasso.map((point) => point.join(',')).join(' ')}
              className="fill-marram/15 stroke-marram"
              strokeWidth="1.2"
            />
          )}
        </svg>
      </div>
      <p className="text-[12px] text-soft">
        Across: difficulty. Up: searches a month, each line ten times the one below.
      </p>
    </section>
  );
}
