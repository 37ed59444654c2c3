/** What is known of one phrase of a cluster, each 0-100; null: not known. */
export interface PhraseFigures {
  opportunity: number | null;
  difficulty: number | null;
}

/**
 * The figures of a cluster, each 0-100: the best opportunity of its phrases, since one good phrase is reason enough to
 * write, and the mean difficulty of those whose difficulty is known, since all of them are to be won. Null where no
 * phrase has the figure.
 *
 * @example
 * clusterFigures([{ opportunity: 80, difficulty: 20 }, { opportunity: 40, difficulty: null }])
 * // { opportunity: 80, difficulty: 20 }
 */
export function clusterFigures(phrases: readonly PhraseFigures[]): PhraseFigures {
  let best: number | null = null;
  let sum = 0;
  let known = 0;
  for (const { opportunity, difficulty } of phrases) {
    if (opportunity !== null && (best === null || opportunity > best)) best = opportunity;
    if (difficulty === null) continue;
    sum += difficulty;
    known += 1;
  }
  return { opportunity: best, difficulty: known === 0 ? null : sum / known };
}
