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

/**
 * Lower quartile, median, upper quartile and best of some values; null where there are none. `best` is the largest. With
 * weights, what weighs less moves the quartiles less; equal weights are as good as none.
 */
export function bandOf(values: readonly number[], weights?: readonly number[]): Band | null {
  if (values.length === 0) return null;
  const order = values.map((_, at) => at).sort((a, b) => values[a] - values[b]);
  const sorted = order.map((at) => values[at]);
  const best = sorted[sorted.length - 1];
  if (!weights)
    return {
      lower: quantile(sorted, 0.25),
      median: quantile(sorted, 0.5),
      upper: quantile(sorted, 0.75),
      best,
    };
  // Each value stands in the middle of its weight; between two of them in a straight line.
  const places = [0];
  for (let at = 1; at < order.length; at++)
    places.push(places[at - 1] + (weights[order[at - 1]] + weights[order[at]]) / 2);
  const whole = places[places.length - 1];
  const at = (share: number): number => {
    const place = share * whole;
    const next = places.findIndex((each) => each >= place);
    if (next <= 0 || whole === 0) return sorted[Math.max(0, next)];
    const part = (place - places[next - 1]) / (places[next] - places[next - 1]);
    return sorted[next - 1] + (sorted[next] - sorted[next - 1]) * part;
  };
  return { lower: at(0.25), median: at(0.5), upper: at(0.75), best };
}
