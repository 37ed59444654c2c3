import type { ScoredFile } from './scored-file.ts';
import { lineNotes } from './scored-file.ts';

/** A fault that several files share. */
export interface CommonFault {
  id: string;
  title: string;
  /** Files that have it. */
  files: number;
  /** Points that it costs in all of them together. */
  points: number;
}

/** What is told of several files. */
export interface Summary {
  files: number;
  /** Mean of their scores. */
  mean: number;
  /** Those with the lowest scores, the lowest first. */
  worst: { path: string; score: number }[];
  /** Faults by how many files have them, then by what they cost. */
  faults: CommonFault[];
}

const NAMED = 5;

/** Sums several reports up; null for fewer than two. */
export function summaryOf(scored: readonly ScoredFile[]): Summary | null {
  if (scored.length < 2) return null;
  const faults = new Map<string, CommonFault>();
  for (const each of scored)
    for (const { id, title, gain } of lineNotes(each)) {
      const before = faults.get(id) ?? { id, title, files: 0, points: 0 };
      faults.set(id, { ...before, files: before.files + 1, points: before.points + gain });
    }
  const sum = scored.reduce((total, { report }) => total + report.score, 0);
  return {
    files: scored.length,
    mean: sum / scored.length,
    worst: [...scored]
      .sort((a, b) => a.report.score - b.report.score || (a.file.path < b.file.path ? -1 : 1))
      .slice(0, NAMED)
      .map(({ file, report }) => ({ path: file.path, score: report.score })),
    faults: [...faults.values()].sort((a, b) => b.files - a.files || b.points - a.points).slice(0, NAMED),
  };
}
