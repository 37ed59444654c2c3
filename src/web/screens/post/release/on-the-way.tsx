import { useState } from 'react';
import type { PostDocument } from '../../../../core/draft/index.ts';
import { giveUp, type SendJob, tryAgain } from '../../../services/publishing.ts';
import { attempt } from '../../../state/attempt.ts';
import { setFieldsOfOpen } from '../../../state/post/open-sessions.ts';
import { lookAtSending, useIsServerAway, useSendJobs } from '../../../state/sending.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords, timeInWords } from '../../../ui/day.ts';
import { useZone } from '../../../ui/zone.ts';
import { ChangedThere } from './changed-there.tsx';

const DOES = { publish: 'publish', withdraw: 'withdraw', restore: 'put back' };

/** How far a job has come, in words. */
function stateOf({ state, tries, next, due, placed, pictures }: SendJob, zone: string): string {
  const at = (instant: string) => `${dayInWords(instant, zone)} ${timeInWords(instant, zone)}`;
  switch (state) {
    case 'sending':
      return pictures > placed ? `sending, ${placed} of ${pictures} pictures are up` : 'sending';
    case 'waiting':
      return tries > 0 && next
        ? `tried ${tries === 1 ? 'once' : `${tries} times`}, again ${at(next)}`
        : due && Date.parse(due) > Date.now()
          ? `goes out ${at(due)}`
          : 'waits for its turn';
    case 'changed':
      return 'changed on the blog';
    case 'failed':
      return 'stopped';
    default:
      return state;
  }
}

/** Posts on their way to where they are published: what, when, why it failed, and what can be done about it. */
export function OnTheWay({
  postId,
  hasRelease,
  written,
}: {
  postId: string;
  /** Whether readers have the post that is open. */
  hasRelease: boolean;
  /** The post that is open, for a comparison with what stands there. */
  written: PostDocument;
}) {
  const zone = useZone();
  const jobs = useSendJobs().filter(({ state }) => state !== 'done' && state !== 'given-up');
  const isAway = useIsServerAway();
  const [comparing, setComparing] = useState<SendJob | null>(null);
  if (jobs.length === 0 && !isAway) return null;
  const then = (work: Promise<unknown>, failed: string) => attempt(work.then(lookAtSending), failed);
  const stop = async (job: SendJob) => {
    await giveUp(job.id);
    // What never came to its readers is a draft as before.
    if (job.postId === postId && job.action === 'publish' && !hasRelease)
      setFieldsOfOpen(postId, { status: 'draft' });
  };
  return (
    <section aria-label="On the way" className="mt-4 border-t pt-3">
      <h3 className="mb-1 font-semibold">On the way</h3>
      {isAway && (
        <p role="status" className="mb-1 text-[13px] text-ochre">
          The server cannot be asked. What was handed over waits there and goes on when it runs.
        </p>
      )}
      <ul>
        {jobs.map((job) => (
          <li key={job.id} className="border-t py-2 text-[13px]">
            <p className="break-words">
              <span className={job.postId === postId ? 'font-semibold' : ''}>{job.title || 'Untitled'}</span>
              <span className="text-soft">
                {' '}
                · {DOES[job.action]} · {stateOf(job, zone)}
              </span>
            </p>
            {job.problem && <p className="mt-0.5 break-words text-rust">{job.problem}</p>}
            {job.state !== 'sending' && (
              <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
                {job.state === 'changed' && job.postId === postId ? (
                  <Button look="word" onClick={() => setComparing(job)}>
                    Compare
                  </Button>
                ) : (
                  <Button look="word" onClick={() => then(tryAgain(job.id), 'It could not be tried again')}>
                    Try again
                  </Button>
                )}
                <Button look="word" onClick={() => then(stop(job), 'It could not be given up')}>
                  Give up
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {comparing && (
        <ChangedThere
          way={comparing.way}
          url={comparing.url}
          written={written}
          onClose={() => setComparing(null)}
          onOverwrite={() => {
            setComparing(null);
            then(tryAgain(comparing.id, null), 'It could not be sent');
          }}
        />
      )}
    </section>
  );
}
