import { useEffect, useState } from 'react';
import { attempt } from '../../../../../state/attempt.ts';
import { Button } from '../../../../../ui/button.tsx';
import { counted, percent } from '../../../../../ui/figures.ts';
import { Waiting } from '../../../../../ui/waiting.tsx';
import { WordLink } from '../../../../../ui/word-link.tsx';
import { linksWorker } from '../../../../../workers/links-client.ts';
import { longCall } from '../../../../../workers/long-call.ts';
import type { SharedView, SharedWords } from '../../../../../workers/sources.ts';
import { usePost } from '../../../frame/post-context.ts';
import type { BodyEditor } from '../../sheet/body-editor.ts';

/** Runs that are shown at first. */
const SHOWN = 8;

/** Words that the post shares with other posts of the site and with the pages of its study, side by side. */
export function SharedList({ body }: { body: BodyEditor }) {
  const { session } = usePost();
  const [view, setView] = useState<SharedView | null>(null);
  const [asked, setAsked] = useState(0);
  const [all, setAll] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked for when the lens opens and when it is asked for
  useEffect(() => {
    const off = new AbortController();
    const look = async () => {
      setView(null);
      const worker = await linksWorker();
      const found = await longCall(worker, 'reads', off.signal, (job) =>
        worker.sharedWords(session.siteId, session.id, session.finished, job),
      );
      if (!off.signal.aborted) setView(found);
    };
    attempt(look(), 'Other texts could not be compared');
    return () => off.abort();
  }, [session, asked]);
  return (
    <>
      <h3 className="mt-5 font-semibold">Shared words {view ? view.runs.length : ''}</h3>
      {!view ? (
        <Waiting name="Comparing with other texts" className="my-1 h-16" />
      ) : (
        <>
          <p className="text-soft">
            {view.ownShare === 1
              ? 'All of its words are its own'
              : `${percent(view.ownShare)} of its words are its own`}
            , beside {counted(view.posts, 'other post')}
            {view.pages > 0 && ` and ${counted(view.pages, 'page')} of the study`}.{' '}
            <Button look="word" onClick={() => setAsked(asked + 1)}>
              Compare again
            </Button>
          </p>
          <ul aria-label="Shared words">
            {(all ? view.runs : view.runs.slice(0, SHOWN)).map((run) => (
              <Run key={`${run.blockId} ${run.start} ${run.postId ?? run.address}`} run={run} body={body} />
            ))}
          </ul>
          {!all && view.runs.length > SHOWN && (
            <Button look="word" onClick={() => setAll(true)}>
              Show all {view.runs.length}
            </Button>
          )}
        </>
      )}
    </>
  );
}

function Run({ run, body }: { run: SharedWords; body: BodyEditor }) {
  return (
    <li className="border-t py-1">
      <button
        type="button"
        title="Show these words in the text"
        onClick={() => body.select(run)}
        className="w-full text-left font-serif leading-[1.35] break-words hover:text-sea"
      >
        {run.quote}
      </button>
      <p className="text-[12px] text-soft">
        {counted(run.words, 'word')} as in{' '}
        {run.postId ? (
          <WordLink quiet to={`/posts/${run.postId}/write`}>
            {run.title}
          </WordLink>
        ) : (
          <span title={run.address}>{run.title}</span>
        )}
      </p>
      <p className="border-l-2 border-sand pl-2 font-serif text-[12px] leading-[1.35] break-words text-soft">
        … {run.theirs.before}
        <mark className="rounded-sm bg-sand/70 text-ink">{run.theirs.words}</mark>
        {run.theirs.after} …
      </p>
    </li>
  );
}
