import { type DraftFacts, type ReportFacts, reportFacts, type ScoreReport } from '../criteria/index.ts';

/** A report as `score-report.schema.json` describes it. */
export interface ScoreReportJson {
  version: 1;
  file: string;
  format: 'html' | 'markdown' | 'text' | 'docx';
  score: number;
  groups: ScoreReport['groups'];
  criteria: (Omit<ScoreReport['criteria'][number], 'evidence' | 'title' | 'unit' | 'place'> & {
    evidence: { block: number; start: number; end: number; quote: string }[];
  })[];
  facts: ReportFacts;
}

/** The JSON form of a report; only the score is rounded. */
export function scoreReportJson(
  file: string,
  format: ScoreReportJson['format'],
  facts: DraftFacts,
  report: ScoreReport,
): ScoreReportJson {
  return {
    version: 1,
    file,
    format,
    score: Math.round(report.score * 10) / 10,
    groups: report.groups,
    criteria: report.criteria.map(({ title: _title, unit: _unit, place: _place, evidence, ...line }) => ({
      ...line,
      evidence: evidence.map(({ block, start, end, quote }) => ({ block, start, end, quote })),
    })),
    facts: reportFacts(facts),
  };
}
