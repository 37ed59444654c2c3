import { Hint } from '../hint.tsx';

const ARROWS = { asc: ' ↑', desc: ' ↓' };
const DIRECTIONS = { asc: 'ascending', desc: 'descending' } as const;

/** The heading of a column; pressed, it sorts by it. */
export function GridHeading({
  name,
  nameless,
  hint,
  className,
  sorted,
  onSort,
}: {
  name: string;
  nameless: boolean;
  hint: string | undefined;
  className: string;
  sorted: 'asc' | 'desc' | false;
  onSort: (() => void) | undefined;
}) {
  const button = onSort && (
    <button
      type="button"
      onClick={onSort}
      className={`text-left hover:text-ink ${sorted ? 'font-semibold text-ink' : ''}`}
    >
      {name}
      {sorted && ARROWS[sorted]}
    </button>
  );
  const words = nameless ? <span className="sr-only">{name}</span> : name;
  return (
    <div
      role="columnheader"
      aria-sort={sorted ? DIRECTIONS[sorted] : onSort ? 'none' : undefined}
      className={className}
    >
      {!button ? words : hint ? <Hint text={hint}>{button}</Hint> : button}
    </div>
  );
}
