import { useMemo } from 'react';
import { type CriterionResult, notesOf, type StudyFacts } from '../../../../../core/criteria/index.ts';
import { scoreAsPage } from '../../../../../core/study/index.ts';
import { useAppSelector } from '../../../../state/store.ts';

/** Criteria that ask for terms of the study. */
const TERM_CRITERIA: ReadonlySet<string> = new Set(['staple-terms', 'supporting-terms']);

/** What is to be mended in the open post, most points first. */
export function useNotes(study: StudyFacts | null): CriterionResult[] {
  const report = useAppSelector((state) => state.openPost.report);
  return useMemo(() => {
    if (!report) return [];
    // Beyond the best of the studied pages nothing asks for more terms; the ledger still tells them.
    const best = study?.score ? scoreAsPage(report.criteria) > study.score.best : false;
    return notesOf(report.criteria).filter(
      ({ id, evidence }) => !best || evidence.length > 0 || !TERM_CRITERIA.has(id),
    );
  }, [report, study]);
}
