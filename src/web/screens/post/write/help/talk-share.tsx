import { useEffect, useState } from 'react';
import { readMarkdown } from '../../../../../core/draft/index.ts';
import type { FidelityAccount } from '../../../../../core/talk/index.ts';
import type { TalkRow } from '../../../../data/talk-rows.ts';
import { attempt } from '../../../../state/attempt.ts';
import { talkWorker } from '../../../../workers/talk-client.ts';
import { usePost } from '../../frame/post-context.ts';
import { sharePercent } from '../../talk/fidelity-panel.tsx';
import { useTalkRow } from '../../talk/use-talk.ts';

/** Runs that are named; the others are counted. */
const NAMED = 6;

/** A text that is not yet taken, held against the talk of its post: how much of it was said, and what nobody said. */
export function TalkShare({ text }: { text: string }) {
  const { session } = usePost();
  const row = useTalkRow(session.id);
  return row && text.trim() ? <Share row={row} text={text} /> : null;
}

function Share({ row, text }: { row: TalkRow; text: string }) {
  const [account, setAccount] = useState<FidelityAccount | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a talk that is brought anew has another instant
  useEffect(() => {
    let isOver = false;
    let count = 0;
    const { draft } = readMarkdown(text, () => `asked-${count++}`);
    attempt(
      talkWorker()
        .then((worker) => worker.accountOf(row.postId, draft))
        .then((found) => {
          if (!isOver) setAccount(found);
        }),
      'The text could not be held against the talk',
    );
    return () => {
      isOver = true;
    };
  }, [row.postId, row.at, text]);
  if (!account) return null;
  const { added, counts, fidelity } = account;
  if (counts.said + counts.repaired + counts.added === 0) return null;
  const more = added.length - NAMED;
  return (
    <p role="status" aria-label="Held against the talk" className="mb-2 text-soft">
      <strong className="font-semibold text-ink tabular-nums">{sharePercent(fidelity)}</strong> the speaker’s
      words.{' '}
      {added.length > 0 && (
        <span className="text-ochre">
          Nobody said:{' '}
          {added.slice(0, NAMED).map((run, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: runs stand in the order of the text
            <span key={at} className={run.weighty ? 'font-semibold' : ''}>
              {at > 0 ? ', ' : ''}“{run.text}”
            </span>
          ))}
          {more > 0 ? ` and ${more} more` : ''}.
        </span>
      )}
    </p>
  );
}
