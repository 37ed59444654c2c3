import { useEffect, useState } from 'react';
import { wholeProfile } from '../../../../core/criteria/index.ts';
import { wishedLength } from '../../../../core/writing/index.ts';
import type { StudyRow } from '../../../data/study-rows.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import type { PlanView, PlanWish } from '../../../workers/plan.ts';
import { studyWorker } from '../../../workers/study-client.ts';
import { usePost } from '../frame/post-context.ts';

/** What the plan of the post in hand is held against. */
export function usePlanWish(
  study: StudyRow | null,
  must: readonly string[] | null,
): { wish: PlanWish; stamp: string } {
  const { site } = usePost();
  const { keyword, points, questions, targetWords, audience, tone } = useAppSelector(
    (state) => state.openPost.fields,
  );
  const { limits } = wholeProfile(site.profile);
  const { from, to } = wishedLength({ targetWords }, study?.facts ?? null, limits.bodyWords);
  return {
    wish: {
      studyId: study?.id ?? null,
      query: study?.query ?? keyword,
      keyword,
      points,
      must: [...(must ?? [])],
      questions,
      words: targetWords ?? Math.round((from + to) / 2),
      audience,
      tone,
      characters: limits.headingCharacters,
    },
    stamp: study ? JSON.stringify([study.id, study.pages.map(({ left }) => left), study.choices]) : '',
  };
}

/** The plan beside its study, worked out anew with each change; the latest counts. */
export function usePlan(wish: PlanWish, stamp: string): PlanView | null {
  const outline = useAppSelector((state) => state.openPost.outline);
  const [view, setView] = useState<PlanView | null>(null);
  const key = JSON.stringify(wish);
  useEffect(() => {
    let late = false;
    attempt(
      studyWorker()
        .then((worker) => worker.plan(outline, JSON.parse(key) as PlanWish, stamp))
        .then((found) => !late && setView(found)),
    );
    return () => {
      late = true;
    };
  }, [outline, key, stamp]);
  return view;
}
