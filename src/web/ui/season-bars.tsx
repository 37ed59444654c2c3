const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** Twelve months as bars, this month marked; a line of words where nothing is known. `large` names the months below. */
export function SeasonBars({
  months,
  width,
  height,
  now,
  large = false,
}: {
  months: readonly number[] | null;
  width: number;
  height: number;
  /** 0 is January. */
  now: number;
  large?: boolean;
}) {
  if (!months) return <span className="text-soft">{large ? 'Months are not known.' : '–'}</span>;
  const most = Math.max(1, ...months);
  const peak = months.indexOf(Math.max(...months));
  const step = width / 12;
  const room = large ? height - 14 : height;
  return (
    <svg
      role="img"
      aria-label={`Searches by month, most in ${MONTHS[peak]}: ${months.map((value, at) => `${MONTHS[at].slice(0, 3)} ${Math.round(value)}`).join(', ')}`}
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      className="block"
    >
      {months.map((value, at) => {
        const tall = Math.max(1, (value / most) * room);
        return (
          <g key={MONTHS[at]}>
            <rect
              x={at * step + step * 0.14}
              y={room - tall}
              width={step * 0.72}
              height={tall}
              className={at === now ? 'fill-marram' : 'fill-sand stroke-soft/40'}
              strokeWidth={at === now ? 0 : 0.5}
            />
            {large && (
              <text
                x={(at + 0.5) * step}
                y={height - 2}
                textAnchor="middle"
                className="fill-soft text-[10px]"
              >
                {MONTHS[at][0]}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
