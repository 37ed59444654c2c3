import { useEffect, useRef, useState } from 'react';
import type { FidelityAccount } from '../../../../core/talk/index.ts';
import type { TalkRow } from '../../../data/talk-rows.ts';
import { talkOf } from '../../../data/talks.ts';
import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import type { TalkView } from '../../../workers/talk.ts';
import { talkWorker } from '../../../workers/talk-client.ts';

/** Milliseconds without a change after which the draft is held against the talk anew. */
const QUIET_FOR = 400;

/** The talk of a post: undefined while it is looked for, null where it has none. */
export const useTalkRow = (postId: string): TalkRow | null | undefined =>
  useLiveQuery(async () => (await talkOf(postId)) ?? null, [postId]);

/** The talk as it is shown; null until it was read. */
export function useTalkView(row: TalkRow): TalkView | null {
  const [view, setView] = useState<TalkView | null>(null);
  const { postId, at } = row;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a talk that is brought anew has another instant
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const found = await (await talkWorker()).view(postId);
      if (!isOver) setView(found);
    };
    attempt(look(), 'The talk could not be read');
    return () => {
      isOver = true;
    };
  }, [postId, at]);
  return view;
}

/** The draft held against its talk, anew a moment after it changed; null until then. */
export function useFidelity(session: PostSession, row: TalkRow): FidelityAccount | null {
  const report = useAppSelector((state) => state.openPost.report);
  const revision = useAppSelector((state) => state.openPost.words);
  const [account, setAccount] = useState<FidelityAccount | null>(null);
  const shown = useRef(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each report tells that the post changed
  useEffect(() => {
    let isOver = false;
    const look = async () => {
      const found = await (await talkWorker()).accountOf(session.id, session.body);
      if (isOver) return;
      shown.current = true;
      setAccount(found);
    };
    const timer = setTimeout(
      () => attempt(look(), 'The draft could not be held against the talk'),
      shown.current ? QUIET_FOR : 0,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [session, row.at, report, revision]);
  return account;
}
