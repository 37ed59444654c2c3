/** No figure of a table is larger: what is, was mistyped or made up, and could not be stored. */
const MAX_FIGURE = 1e15;
/** Characters that a cell with a figure may have. */
const MAX_CELL = 60;

/**
 * A figure that is never in the thousands (a position, a difficulty), so that its only point or comma is a decimal one:
 * `4.125` is four and an eighth. Else as {@link readFigure}.
 */
export const readSmallFigure = (cell: string): number | null =>
  /^\s*\d{1,3}[.,]\d{1,12}\s*%?\s*$/.test(cell)
    ? Number(cell.replace(',', '.').replace('%', ''))
    : readFigure(cell);

/**
 * A figure as tables write it: `1,200`, `1.200`, `1 200`, `1.2K`, `3,4 mio`, `<10`, `10-100` (its middle), `45 %`.
 * Null for an empty cell or a dash; NaN for what is no figure.
 */
export function readFigure(cell: string): number | null {
  const trimmed = cell.trim();
  // Longer cells hold no figure, and would be gone through again and again.
  if (trimmed.length > MAX_CELL) return Number.NaN;
  const text = trimmed
    .toLowerCase()
    .replace(/[\u00a0\u202f\s]+/g, ' ')
    .replace(/%$/, '')
    .trim();
  if (text === '' || /^(?:-|–|—|n\/?a|null|none|unknown|\?)$/.test(text)) return null;
  const range = /^([\d.,\s]+[kmb]?)\s*(?:-|–|to|bis)\s*([\d.,\s]+[kmb]?)$/.exec(text);
  if (range) {
    const [low, high] = [readFigure(range[1]), readFigure(range[2])];
    return low === null || high === null ? Number.NaN : (low + high) / 2;
  }
  const parts = /^[<>~≈]?\s*(\d+(?:[.,' ]\d+)*)\s*(k|tsd|m|mio|mn|b|bn)?\.?\+?$/.exec(text);
  if (!parts) return Number.NaN;
  const unit = parts[2]
    ? parts[2] === 'k' || parts[2] === 'tsd'
      ? 1e3
      : parts[2].startsWith('m')
        ? 1e6
        : 1e9
    : 1;
  const digits = parts[1].replace(/[' ]/g, '');
  const figure = plainNumber(digits, unit > 1) * unit;
  return figure <= MAX_FIGURE ? figure : Number.NaN;
}

/** Digits with commas and points: the last mark is a decimal one where it cannot part thousands. */
function plainNumber(digits: string, scaled: boolean): number {
  if (/^\d+$/.test(digits)) return Number(digits);
  const last = Math.max(digits.lastIndexOf(','), digits.lastIndexOf('.'));
  const marks = digits.match(/[.,]/g) ?? [];
  const mixed = new Set(marks).size > 1;
  const after = digits.length - last - 1;
  // "1.2K" and "1,25" are decimals; "1,200" and "1.200.000" part thousands.
  const decimal = mixed || (marks.length === 1 && (after !== 3 || scaled));
  const whole = (decimal ? digits.slice(0, last) : digits).replace(/[.,]/g, '');
  return Number(decimal ? `${whole || '0'}.${digits.slice(last + 1)}` : whole);
}
