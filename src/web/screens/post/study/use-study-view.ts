import { useEffect, useRef, useState } from 'react';
import type { StudyRow } from '../../../data/study-rows.ts';
import { failureInWords } from '../../../state/attempt.ts';
import { longCall } from '../../../workers/long-call.ts';
import { progressTo } from '../../../workers/research-client.ts';
import type { StudyView } from '../../../workers/study.ts';
import { studyWorker } from '../../../workers/study-client.ts';

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
  const reading = useRef<AbortController | null>(null);
  const id = row?.id ?? null;
  // Facts are the answer, not a part of the question.
  const key = row ? JSON.stringify([row.pages, row.asked, row.phrases, row.choices, asked]) : '';
  useEffect(() => {
    if (!id || !key) return;
    const visit = new AbortController();
    const stop = new AbortController();
    reading.current = stop;
    const signal = AbortSignal.any([visit.signal, stop.signal]);
    setState((before) => ({
      view: before.view?.id === id ? before.view : null,
      done: before.view?.id === id ? null : 0,
      problem: '',
    }));
    const read = async () => {
      const worker = await studyWorker();
      return longCall(worker, 'reads', signal, (job) =>
        worker.view(
          id,
          job,
          progressTo((done) => {
            if (!signal.aborted) setState((before) => (before.done === null ? before : { ...before, done }));
          }),
        ),
      );
    };
    read().then(
      (view) => {
        if (!visit.signal.aborted && view) setState({ view, done: null, problem: '' });
      },
      (error: unknown) => {
        if (visit.signal.aborted) return;
        setState((before) => ({
          ...before,
          done: null,
          problem: !stop.signal.aborted
            ? `The pages could not be studied: ${failureInWords(error)} The pages are kept.`
            : before.view
              ? ''
              : 'Reading was stopped. Nothing is lost.',
        }));
      },
    );
    return () => visit.abort();
  }, [id, key]);
  return {
    ...state,
    stop: () => reading.current?.abort(),
    again: () => setAsked(asked + 1),
  };
}
