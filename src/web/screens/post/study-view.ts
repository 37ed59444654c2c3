import { useEffect, useState } from 'react';
import type { StudyRow } from '../../data/database.ts';
import { attempt } from '../../state/attempt.ts';
import { told } from '../../workers/research-client.ts';
import type { StudyView } from '../../workers/study.ts';
import { studyWorker } from '../../workers/study-client.ts';

export interface StudyState {
  view: StudyView | null;
  /** Pages that were read so far; null: nothing is under way. */
  done: number | null;
  problem: string;
}

/** What the pages of a study share, worked out anew whenever a page or a choice changes. What was there stays until then. */
export function useStudyView(row: StudyRow | null): StudyState & { stop: () => void; again: () => void } {
  const [state, setState] = useState<StudyState>({ view: null, done: null, problem: '' });
  const [asked, setAsked] = useState(0);
  const id = row?.id ?? null;
  // Facts are the answer, not a part of the question.
  const key = row ? JSON.stringify([row.pages, row.asked, row.phrases, row.choices, asked]) : '';
  useEffect(() => {
    if (!id || !key) return;
    let late = false;
    setState((before) => ({
      view: before.view?.id === id ? before.view : null,
      done: before.view?.id === id ? null : 0,
      problem: '',
    }));
    attempt(
      studyWorker()
        .then((worker) =>
          worker.view(
            id,
            told((done) => {
              if (!late) setState((before) => (before.done === null ? before : { ...before, done }));
            }),
          ),
        )
        .then(
          (view) => {
            if (late) return;
            setState((before) =>
              view
                ? { view, done: null, problem: '' }
                : {
                    ...before,
                    done: null,
                    problem: before.view ? '' : 'Reading was stopped. Nothing is lost.',
                  },
            );
          },
          (error: Error) =>
            !late &&
            setState((before) => ({
              ...before,
              done: null,
              problem: `The pages could not be studied: ${error.message}. Try again; the pages are kept.`,
            })),
        ),
    );
    return () => {
      late = true;
    };
  }, [id, key]);
  return {
    ...state,
    stop: () => attempt(studyWorker().then((worker) => worker.stop())),
    again: () => setAsked(asked + 1),
  };
}
