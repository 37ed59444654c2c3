const [WIDTH, HEIGHT] = [120, 22];

/** Counts by week as a line, the latest at the right; nothing where fewer than two are known. */
export function WeekLine({ weeks, name }: { weeks: readonly number[]; name: string }) {
  if (weeks.length < 2) return null;
  const most = Math.max(1, ...weeks);
  const step = WIDTH / (weeks.length - 1);
  const points = weeks.map(
    (count, at) => `${(at * step).toFixed(1)},${(HEIGHT - 2 - (count / most) * (HEIGHT - 4)).toFixed(1)}`,
  );
  return (
    <svg
      role="img"
      aria-label={`${name} by week: ${weeks.join(', ')}`}
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block"
    >
      <polyline points={points.join(' ')} fill="none" className="stroke-marram" strokeWidth="1.4" />
    </svg>
  );
}
