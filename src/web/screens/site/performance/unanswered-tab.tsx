import { useEffect, useRef, useState } from 'react';
import type { UnansweredQuery } from '../../../../core/performance/index.ts';
import { attempt } from '../../../state/attempt.ts';
import { Button } from '../../../ui/button.tsx';
import { daysInWords } from '../../../ui/day.ts';
import { None } from '../../../ui/empty.tsx';
import { percent } from '../../../ui/figures.ts';
import { longCall } from '../../../workers/long-call.ts';
import type { PerformanceView } from '../../../workers/performance.ts';
import type { NamedPage } from '../../../workers/performance-scene.ts';
import { progressTo, researchWorker } from '../../../workers/research-client.ts';
import { UnansweredList } from './unanswered-list.tsx';

const SHOWN = 200;

/** Queries of all posts that are shown and not answered: looked for when it is opened, as every post is read for it. */
export function UnansweredTab({ view, siteId }: { view: PerformanceView; siteId: string }) {
  const [found, setFound] = useState<(UnansweredQuery & NamedPage)[] | null>(null);
  const [done, setDone] = useState(0);
  const [isStopped, setStopped] = useState(false);
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => {
    const own = new AbortController();
    stopping.current = own;
    const look = async () => {
      const worker = await researchWorker();
      const tell = progressTo((share) => !own.signal.aborted && setDone(share));
      setFound(await longCall(worker, 'reads', own.signal, (job) => worker.unanswered(siteId, job, tell)));
    };
    attempt(look());
    return () => own.abort();
  }, [siteId]);
  const stop = () => {
    stopping.current?.abort();
    setStopped(true);
  };
  const { from, to } = view.latest;
  if (!found)
    return isStopped ? (
      <None>It was stopped. Open the tab again to look once more.</None>
    ) : (
      <p role="status" className="flex items-center gap-3 text-soft">
        Reading posts: {percent(done)} <Button onClick={stop}>Stop</Button>
      </p>
    );
  return (
    <>
      <p className="mb-3 max-w-3xl text-soft">
        {daysInWords(from, to)}. Search shows these posts for what they do not say yet: each is a section to
        write, or a post of its own.
      </p>
      {found.length === 0 ? (
        <None>Every query that your posts are shown for is answered.</None>
      ) : (
        <div className="max-w-4xl">
          <UnansweredList found={found.slice(0, SHOWN)} siteId={siteId} from={from} to={to} />
          {found.length > SHOWN && (
            <p className="py-3 text-soft">Those shown less often are told on the pages themselves.</p>
          )}
        </div>
      )}
    </>
  );
}
