import { attempt } from '../../../state/attempt.ts';
import type { PostSession } from '../../../state/post/post-session.ts';
import { saveAsFile } from '../../../state/post/unsaved.ts';
import { useAppSelector } from '../../../state/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Notice } from '../../../ui/notice.tsx';

/** What the writer has to know of the post in hand: it is not saved, another tab writes it, its score stands still. */
export function PostNotices({ session }: { session: PostSession }) {
  const { save, problem, following, scoringProblem } = useAppSelector((state) => state.openPost);
  return (
    <>
      {save === 'failed' && (
        <Notice grave>
          <span>{problem}</span>
          <Button onClick={() => attempt(saveAsFile(session.content), 'The file could not be handed out')}>
            Save as a file
          </Button>
        </Notice>
      )}
      {following && (
        <Notice>
          <span>This post is open in another tab. You see here what is written there.</span>
          <Button onClick={() => attempt(session.takeOver())}>Write here instead</Button>
        </Notice>
      )}
      {scoringProblem && (
        <Notice>
          <span>{scoringProblem}</span>
          <Button onClick={() => session.restartScoring()}>Score again</Button>
        </Notice>
      )}
    </>
  );
}
