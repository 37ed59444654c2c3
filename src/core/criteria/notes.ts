import type { CriterionResult } from './score.ts';

/** What a criterion, or several that want the same, has to win. */
export const gainOf = ({ available, points }: Pick<CriterionResult, 'available' | 'points'>): number =>
  available - points;

/**
 * What is to be mended, most points to win first; ties in the order of the report. Criteria that only wait for the same thing to
 * be set on Target are one note, under the name of the first, with the points of all.
 */
export function notesOf(criteria: readonly CriterionResult[]): CriterionResult[] {
  const notes = new Map<string, CriterionResult>();
  for (const line of criteria) {
    if (line.advice === null) continue;
    const key = line.place === 'target' ? `target ${line.advice}` : line.id;
    const before = notes.get(key);
    notes.set(
      key,
      before
        ? { ...before, points: before.points + line.points, available: before.available + line.available }
        : line,
    );
  }
  return [...notes.values()].sort((a, b) => gainOf(b) - gainOf(a));
}

/** Whether a note speaks of the post as a whole: of no place in its text, and of no field. */
export const isWholePost = ({ place, evidence }: Pick<CriterionResult, 'place' | 'evidence'>): boolean =>
  place === 'text' && evidence.length === 0;
