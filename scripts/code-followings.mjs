/** Steps of the coded values in a nat, and the greatest value that is told. */
export const STEPS = 8;
export const MOST = 4;
/** How many following words stand behind what is merely to be expected. */
const PRIOR = 20;

/**
 * For each two kinds of words the logarithm of how much oftener one follows the other than by chance, a character each.
 * `follows[before * kinds + kind]` counts pairs, `counts` kinds.
 */
export function codedFollowings(follows, counts, kinds) {
  const all = counts.reduce((sum, count) => sum + count, 0);
  let coded = '';
  for (let before = 0; before < kinds; before++) {
    const row = follows.subarray(before * kinds, (before + 1) * kinds);
    const total = row.reduce((sum, count) => sum + count, 0);
    for (let kind = 0; kind < kinds; kind++) {
      const expected = (counts[kind] + 0.5) / (all + 0.5 * kinds);
      const value = Math.log((row[kind] + PRIOR * expected) / (total + PRIOR) / expected);
      const step = Math.round(Math.max(-MOST, Math.min(MOST, value)) * STEPS) + MOST * STEPS;
      coded += String.fromCharCode(40 + step);
    }
  }
  return coded;
}
