import { useEffect, useRef, useState } from 'react';
import {
  type English,
  englishOf,
  noLanguageRules,
  type PlacedRemark,
} from '../../../../../../core/proofreading/index.ts';
import { attempt } from '../../../../../state/attempt.ts';
import { useAppSelector } from '../../../../../state/store.ts';
import { languageWorker } from '../../../../../workers/language-client.ts';
import { usePost } from '../../../frame/post-context.ts';

/** Milliseconds without a new report after which the language is looked through anew. */
const QUIET_FOR = 300;

/** Remarks on the language of the post in hand, anew a moment after it changed; null until it was first looked through. */
export function useLanguage(): { english: English | null; remarks: PlacedRemark[] | null } {
  const { session, site } = usePost();
  const report = useAppSelector((state) => state.openPost.report);
  const { language, keyword, supporting } = useAppSelector((state) => state.openPost.fields);
  const [remarks, setRemarks] = useState<PlacedRemark[] | null>(null);
  const shown = useRef(false);
  const rules = site.house.language ?? noLanguageRules();
  const english = englishOf(language || site.language, site.region);
  // What readers type is right as they type it; so is what the site calls itself.
  const right = [keyword, ...supporting, site.name].flatMap((words) => words.split(/[\s-]+/)).filter(Boolean);
  const given = JSON.stringify([english, rules, right]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each report tells that the post changed
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const worker = await languageWorker();
      const found = await worker.remarksOf(english, rules, right, session.finished.draft.blocks);
      if (isOver) return;
      shown.current = true;
      setRemarks(found);
    };
    const timer = setTimeout(
      () => attempt(look(), 'The language could not be looked through'),
      shown.current ? QUIET_FOR : 0,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, report, given]);
  return { english, remarks };
}
