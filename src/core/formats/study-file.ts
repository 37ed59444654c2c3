import type { StudyFacts } from '../criteria/index.ts';
import validate from './generated/study-file-validator.js';

/** A study as it is exported: which pages it goes by, and what the criteria take from it. */
export interface StudyFile {
  format: 'dune-sparrow-study';
  version: 1;
  query: string;
  region: string;
  /** UTC instant. */
  made: string;
  pages: { address: string; publisher: string; rank: number; title: string; taken: boolean }[];
  facts: StudyFacts;
}

/** Reads an exported study: all of it, or why it cannot be used. */
export function readStudyFile(
  text: string,
): { study: StudyFile; problem: null } | { study: null; problem: string } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { study: null, problem: 'The study is not valid JSON. Export it again on Study.' };
  }
  if (!validate(json)) {
    const [error] = validate.errors ?? [];
    const where = error?.instancePath ? ` at ${error.instancePath.slice(1).replaceAll('/', ' > ')}` : '';
    return {
      study: null,
      problem: `This is no exported study${where}: ${error?.message ?? 'unknown shape'}.`,
    };
  }
  return { study: json as StudyFile, problem: null };
}

/** Writes a study as a file. */
export const writeStudyFile = (study: Omit<StudyFile, 'format' | 'version'>): string =>
  `${JSON.stringify({ format: 'dune-sparrow-study', version: 1, ...study }, null, 2)}\n`;
