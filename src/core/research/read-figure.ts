/**
 * A figure as tables write it: `1,200`, `1.200`, `1 200`, `1.2K`, `3,4 mio`, `<10`, `10-100` (its middle), `45 %`.
 * Null for an empty cell or a dash; NaN for what is no figure.
 */
export function readFigure(cell: string): number | null {
  const text = cell
    .trim()
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
  return plainNumber(digits, unit > 1) * unit;
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
