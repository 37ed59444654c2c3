import { useEffect, useState } from 'react';
import type { PostRelease } from '../../../data/post-rows.ts';
import { pageThere, type Way } from '../../../services/publishing.ts';
import { failureInWords } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { jobsWorker } from '../../../workers/jobs-client.ts';
import type { ReadBackAccount } from '../../../workers/read-back.ts';

/** Milliseconds after sending within which the page is read back unasked. */
const FRESH = 120_000;

/** The page as its readers get it: what differs from what was sent, and what it scores. */
export function ReadBackPanel({
  siteId,
  postId,
  release,
  way,
}: {
  siteId: string;
  postId: string;
  release: PostRelease;
  way: Way;
}) {
  const [account, setAccount] = useState<ReadBackAccount | null>(null);
  const [problem, setProblem] = useState('');
  const [turn, setTurn] = useState(0);
  const { url, versionId, sentAt, out } = release;
  const isFresh = Date.now() - Date.parse(sentAt) < FRESH && Date.parse(out) <= Date.now();
  // biome-ignore lint/correctness/useExhaustiveDependencies: each sending, and each press, reads once
  useEffect(() => {
    if (!isFresh && turn === 0) return;
    let isWanted = true;
    const read = async () => {
      const page = await pageThere(way, url);
      const found = await (await jobsWorker()).readPageBack(siteId, postId, page, versionId);
      if (isWanted) setAccount(found);
    };
    setProblem('');
    read().catch((error: unknown) => isWanted && setProblem(failureInWords(error)));
    return () => {
      isWanted = false;
    };
  }, [sentAt, turn]);
  return (
    <section aria-label="Read back" className="mt-4 border-t pt-3 text-[13px]">
      {account ? (
        <>
          <p>
            Readers get <span className="font-semibold">{account.score.toFixed(1)}</span> points
            {Math.abs(account.score - account.sent) >= 0.1 ? `; ${account.sent.toFixed(1)} were sent` : ''}.
          </p>
          {account.faults.length === 0 ? (
            <p className="mt-1 text-soft">The page stands as it was sent.</p>
          ) : (
            <ul className="mt-1">
              {account.faults.map(({ id, text }) => (
                <li key={id} className="border-t py-1.5 break-words">
                  {text}
                </li>
              ))}
            </ul>
          )}
        </>
      ) : (
        <p className="text-soft">What readers get can be read back and compared with what was sent.</p>
      )}
      {problem && (
        <p role="alert" className="mt-1 text-rust">
          {problem}
        </p>
      )}
      <Button look="word" className="mt-1" onClick={() => setTurn(turn + 1)}>
        Read the page back
      </Button>
    </section>
  );
}
