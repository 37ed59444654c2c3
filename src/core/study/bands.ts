/** Where the pages of a study stand with one figure. */
export interface Band {
  lower: number;
  median: number;
  upper: number;
  best: number;
}

/** The value below which a share of sorted values lies, between two of them in a straight line. */
export function quantile(sorted: readonly number[], share: number): number {
  const place = (sorted.length - 1) * share;
  const low = Math.floor(place);
  return sorted[low] + (sorted[Math.min(low + 1, sorted.length - 1)] - sorted[low]) * (place - low);
}

/** Lower quartile, median, upper quartile and best of some values; null where there are none. `best` is the largest. */
export function bandOf(values: readonly number[]): Band | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  return {
    lower: quantile(sorted, 0.25),
    median: quantile(sorted, 0.5),
    upper: quantile(sorted, 0.75),
    best: sorted[sorted.length - 1],
  };
}
