import { AlertDialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useBlocker } from 'react-router';
import { attempt } from '../../../state/attempt.ts';
import { holdPage } from '../../../state/hold-page.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { saveAsFile } from '../../../state/post/unsaved.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';

/** Stands in the way of leaving a post that could not be saved, and offers the two ways out. */
export function LeaveGuard({ session }: { session: PostSession }) {
  const problem = useAppSelector((state) => state.openPost.problem);
  const [failed, setFailed] = useState(false);
  const blocker = useBlocker(
    ({ nextLocation }) =>
      session.unsaved !== '' && !nextLocation.pathname.startsWith(`/posts/${session.id}/`),
  );
  useEffect(() => holdPage(() => session.isAtRisk), [session]);
  if (blocker.state !== 'blocked') return null;
  const stay = () => {
    setFailed(false);
    blocker.reset();
  };
  const tryAgain = async () => {
    await session.saved();
    if (session.unsaved === '') blocker.proceed();
    else setFailed(true);
  };
  const handOut = async () => {
    await saveAsFile(session.content);
    blocker.proceed();
  };
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && stay()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-veil" />
        <AlertDialog.Content className="rise fixed top-[18vh] left-1/2 z-50 w-[min(520px,94vw)] -translate-x-1/2 rounded-md border bg-paper p-6">
          <AlertDialog.Title className="mb-2 font-serif text-xl font-semibold">
            This post is not saved
          </AlertDialog.Title>
          <AlertDialog.Description className="mb-4">{problem}</AlertDialog.Description>
          {failed && (
            <p role="alert" className="mb-4 text-rust">
              It still could not be saved.
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <Button look="main" onClick={() => attempt(tryAgain())}>
              Try again, then leave
            </Button>
            <Button onClick={() => attempt(handOut(), 'The file could not be handed out')}>
              Save as a file, then leave
            </Button>
            <AlertDialog.Cancel asChild>
              <Button>Stay</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
