import { useRouteError } from 'react-router';
import { attempt } from '../state/attempt.ts';
import { draftAtHand } from '../state/post/draft-at-hand.ts';
import { Button } from '../ui/button.tsx';
import { download } from '../ui/download.ts';
import { WordLink } from '../ui/word-link.tsx';

async function saveDraft(): Promise<void> {
  const document = draftAtHand();
  if (!document) return;
  const { draftFile } = await import('../state/post/draft-file.ts');
  download('draft.md', draftFile(document), 'text/markdown');
}

/** What stands in place of a screen that failed or does not exist; the draft in hand is offered as a file. */
export function PageProblem() {
  const error = useRouteError();
  const reason = error instanceof Error ? error.message : null;
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 font-serif text-2xl font-semibold">
        {reason ? 'This screen stopped' : 'There is nothing at this address'}
      </h1>
      <p role="alert" className="mb-4 text-soft">
        {reason
          ? `It met something it cannot show (${reason}). What you wrote up to a second ago is kept. Reload to go on.`
          : 'The address may be old, or mistyped.'}
      </p>
      <div className="flex flex-wrap items-center gap-4">
        {reason && (
          <Button look="main" onClick={() => location.reload()}>
            Reload
          </Button>
        )}
        {reason && draftAtHand() && (
          <Button onClick={() => attempt(saveDraft())}>Save the draft as a file</Button>
        )}
        <WordLink to="/posts">To your posts</WordLink>
      </div>
    </main>
  );
}
