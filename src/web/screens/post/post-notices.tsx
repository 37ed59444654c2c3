import { writeMarkdown } from '../../../core/draft/index.ts';
import { slugOf } from '../../../core/listing/index.ts';
import type { PostSession } from '../../state/post-session.ts';
import { useAppSelector } from '../../state/store.ts';
import { Button } from '../../ui/button.tsx';
import { download } from '../../ui/download.ts';
import { Notice } from '../../ui/notice.tsx';

/** What the writer has to know of the post in hand: it is not saved, another tab writes it, its score stands still. */
export function PostNotices({ session }: { session: PostSession }) {
  const { save, problem, following, scoringProblem, fields } = useAppSelector((state) => state.openPost);
  return (
    <>
      {save === 'failed' && (
        <Notice grave>
          <span>{problem}</span>
          <Button
            onClick={() =>
              download(
                `${slugOf(fields.slug || fields.title) || 'untitled'}.md`,
                writeMarkdown(session.document),
                'text/markdown',
              )
            }
          >
            Save as a file
          </Button>
        </Notice>
      )}
      {following && (
        <Notice>
          <span>This post is open in another tab. You see here what is written there.</span>
          <Button onClick={() => void session.takeOver()}>Write here instead</Button>
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
