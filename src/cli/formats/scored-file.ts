import { type DraftFacts, gainOf, notesOf, type ScoreReport } from '../../core/criteria/index.ts';
import { SourceLines } from '../../core/formats/index.ts';
import type { InputFile } from '../input.ts';
import { oneLine } from './one-line.ts';

/** A file with its report. */
export interface ScoredFile {
  file: InputFile;
  facts: DraftFacts;
  report: ScoreReport;
  /** Whether its score reaches what `--min` asks; true where nothing was asked. */
  enough: boolean;
}

/** A note as a report tells it. */
export interface LineNote {
  id: string;
  title: string;
  advice: string;
  /** Points of the score that it would win. */
  gain: number;
  /** Lines of the file that it speaks of, each once, in order; empty where it speaks of none. */
  lines: number[];
}

/** The score as it is told everywhere: one decimal. */
export const rounded = (score: number): number => Math.round(score * 10) / 10;

/** The notes of a file, most points first, with the lines of its source that they speak of. */
export function lineNotes({ file, facts, report }: ScoredFile): LineNote[] {
  const lines = file.source === null ? null : new SourceLines(file.source, facts.blocks);
  return notesOf(report.criteria).map((note) => {
    const places = note.evidence.flatMap((place) => lines?.lineOf(place) ?? []);
    const field = note.evidence.length === 0 ? lines?.lineOfField(note.place) : null;
    return {
      id: note.id,
      title: note.title,
      advice: oneLine(note.advice ?? ''),
      gain: gainOf(note),
      lines: [...new Set(field == null ? places : [field])].sort((a, b) => a - b),
    };
  });
}
