/** The chance that a standard normal figure is greater than `z` (0 and more). Source: Abramowitz and Stegun, formula 26.2.17; to 7.5e-8. */
function upperTail(z: number): number {
  const t = 1 / (1 + 0.2316419 * z);
  const sum =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return (Math.exp(-(z ** 2) / 2) / Math.sqrt(2 * Math.PI)) * sum;
}

/**
 * Which of many standard errors are clear: so far above 0 that of those named at most so great a share is there by chance, however many
 * are looked at. Source: Benjamini and Hochberg, J. R. Statist. Soc. B 57 (1995).
 *
 * `clearOnes([2.5], 0.1)` is `[true]`; among a hundred of which all others are 0, the same is `[false, ...]`.
 */
export function clearOnes(errors: readonly number[], falseShare: number): boolean[] {
  const order = errors
    .map((error, at) => ({ at, chance: error > 0 ? upperTail(error) : 1 }))
    .sort((a, b) => a.chance - b.chance);
  const last = order.findLastIndex(
    ({ chance }, place) => chance <= (falseShare * (place + 1)) / errors.length,
  );
  const clear = errors.map(() => false);
  for (const { at } of order.slice(0, last + 1)) clear[at] = true;
  return clear;
}
