import {
  applyEdits,
  type Context,
  type CriterionId,
  type DraftFacts,
  type Fix,
  fixesFor,
  type ScoreReport,
  wordsAfter,
} from '../criteria/index.ts';
import type { PostDocument } from '../draft/index.ts';

/** A change that can be pressed, and what the score is after it (measured, not estimated). */
export interface OfferedFix extends Fix {
  scoreAfter: number;
  /** The words that will stand there, with a little of what is around them; empty where no words change. */
  words: string;
}

/** Changes tried for one criterion, and offered. */
const MOST_TRIED = 6;
const MOST_OFFERED = 3;

/** What a change has to win to be offered: what shows in a score with one decimal. */
const LEAST_GAIN = 0.05;

/**
 * The changes that help, by criterion: each tried on the whole post and scored again. One that would win nothing, or lose, is
 * not offered. Answers criterion by criterion, so that a caller can stop in between.
 */
export function* offersFor(
  document: PostDocument,
  { facts, context, report }: { facts: DraftFacts; context: Context; report: ScoreReport },
  rescored: (changed: PostDocument) => number,
): Generator<[CriterionId, OfferedFix[]]> {
  for (const { id, advice } of report.criteria) {
    if (advice === null) continue;
    const offered: OfferedFix[] = [];
    const seen = new Set<string>();
    for (const fix of fixesFor(id, facts, context).slice(0, MOST_TRIED)) {
      const words = wordsAfter(document, fix.edits);
      // Two that read alike are one to a reader.
      const key = `${fix.label}\n${words}`;
      if (seen.has(key)) continue;
      seen.add(key);
      const scoreAfter = rescored(applyEdits(document, fix.edits));
      if (scoreAfter - report.score < LEAST_GAIN) continue;
      offered.push({ ...fix, scoreAfter, words });
      if (offered.length === MOST_OFFERED) break;
    }
    if (offered.length > 0) yield [id, offered];
  }
}
