import type { StudyFacts } from '../criteria/index.ts';
import validate from './generated/study-file-validator.js';
import validateReport from './generated/study-report-validator.js';
import { factsOfReport, type StudyReportJson } from './study-report-json.ts';

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

/** The same study as an exported file of the application holds it. */
const studyFileOf = (report: StudyReportJson): StudyFile => ({
  format: 'dune-sparrow-study',
  version: 1,
  query: report.query,
  region: '',
  made: '',
  pages: report.pages.map(({ file, title, leaveOut }, at) => ({
    address: file,
    publisher: '',
    rank: at + 1,
    title,
    taken: leaveOut === null,
  })),
  facts: factsOfReport(report),
});

const wrong = (errors: typeof validate.errors): string => {
  const [error] = errors ?? [];
  const where = error?.instancePath ? ` at ${error.instancePath.slice(1).replaceAll('/', ' > ')}` : '';
  return `This is no exported study${where}: ${error?.message ?? 'unknown shape'}.`;
};

/** A study as it was read: as a file of the application holds it, and as the command line printed it, where it did. */
export type ReadStudy =
  | { study: StudyFile; report: StudyReportJson | null; problem: null }
  | { study: null; report: null; problem: string };

/** Reads a study that was exported in the application or printed by `study --json`: all of it, or why it cannot be used. */
export function readStudyFile(text: string): ReadStudy {
  const refused = (problem: string): ReadStudy => ({ study: null, report: null, problem });
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refused('The study is not valid JSON. Export it again on Study.');
  }
  const isReport = typeof json === 'object' && json !== null && 'bands' in json && !('format' in json);
  if (isReport) {
    if (!validateReport(json)) return refused(wrong(validateReport.errors));
    const report = json as StudyReportJson;
    return { study: studyFileOf(report), report, problem: null };
  }
  if (!validate(json)) return refused(wrong(validate.errors));
  return { study: json as StudyFile, report: null, problem: null };
}

/** Writes a study as a file. */
export const writeStudyFile = (study: Omit<StudyFile, 'format' | 'version'>): string =>
  `${JSON.stringify({ format: 'dune-sparrow-study', version: 1, ...study }, null, 2)}\n`;
