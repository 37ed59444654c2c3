import { useId } from 'react';

/** A group's part of a ridge. */
export interface RidgeGroup {
  id: string;
  points: number;
  available: number;
}

/** How groups are called where they are shown. */
export const GROUP_NAMES: Record<string, string> = {
  listing: 'Listing',
  headings: 'Headings',
  keyword: 'Keyword',
  coverage: 'Coverage',
  substance: 'Substance',
  media: 'Media',
  links: 'Links',
  reading: 'Reading',
};

/** A hump from x over a width, as a closed path: flat feet, round top. */
function hump(x: number, width: number, height: number): string {
  const mid = x + width / 2;
  const foot = width * 0.3;
  const top = width * 0.17;
  return `M${x} ${height}C${x + foot} ${height} ${mid - top} 1 ${mid} 1S${x + width - foot} ${height} ${x + width} ${height}Z`;
}

/** Pixels of a letter of a label, about, and between two labels. */
const LETTER = 6.8;
const BETWEEN = 8;

const earned = (points: number, available: number) => `${points.toFixed(1)} of ${available.toFixed(1)}`;

/** The ridge: one hump per group, as wide as its points, filled as far as it is earned. */
export function Ridge({
  groups,
  width,
  height,
  names = false,
  className = '',
}: {
  groups: readonly RidgeGroup[];
  width: number;
  height: number;
  names?: boolean;
  className?: string;
}) {
  const clip = useId();
  const total = groups.reduce((sum, group) => sum + group.available, 0);
  const words = groups
    .map(({ id, points, available }) =>
      available > 0 ? `${GROUP_NAMES[id]} ${earned(points, available)}` : `${GROUP_NAMES[id]} does not apply`,
    )
    .join(', ');
  let x = 0;
  const humps = groups
    .filter((group) => group.available > 0)
    .map(({ id, points, available }) => {
      const own = (available / total) * width;
      const at = x;
      x += own;
      return { id, at, own, share: points / available, points, available };
    });
  // A label that would touch the one before it stands one row lower.
  let taken = Number.NEGATIVE_INFINITY;
  const lowered = new Set<string>();
  for (const { id, at, own, points, available } of humps) {
    const half = (earned(points, available).length * LETTER) / 2;
    const middle = at + own / 2;
    if (middle - half < taken) lowered.add(id);
    else taken = middle + half + BETWEEN;
  }
  const below = !names ? 0 : lowered.size > 0 ? 66 : 36;
  return (
    <svg
      role="img"
      aria-label={`Score by group: ${total > 0 ? words : 'nothing to show yet'}`}
      width={width}
      height={height + below}
      preserveAspectRatio="none"
      viewBox={`0 0 ${width} ${height + below}`}
      className={`shrink-0 overflow-visible ${className}`}
    >
      {humps.map(({ id, at, own, share, points, available }) => {
        const path = hump(at, own, height);
        const filled = share * (height - 1);
        return (
          <g key={id}>
            <title>{`${GROUP_NAMES[id]}: ${earned(points, available)} points`}</title>
            <path d={path} className="fill-sand" />
            <clipPath id={`${clip}${id}`}>
              <rect x={at} y={height - filled} width={own} height={filled} />
            </clipPath>
            <path d={path} className="fill-marram" clipPath={`url(#${clip}${id})`} />
            {names && (
              <text
                x={at + own / 2}
                y={height + (lowered.has(id) ? 45 : 15)}
                textAnchor="middle"
                className="fill-soft text-[12px]"
              >
                {GROUP_NAMES[id]}
                <tspan x={at + own / 2} dy="15" className="fill-ink">
                  {earned(points, available)}
                </tspan>
              </text>
            )}
          </g>
        );
      })}
      <line x1={0} x2={width} y1={height} y2={height} className="stroke-marram" strokeOpacity={0.5} />
    </svg>
  );
}
