import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import type { BroughtPage } from '../../../../core/formats/index.ts';
import { regionOf } from '../../../../core/site/index.ts';
import { storageProblem } from '../../../data/storage.ts';
import { goBy, studiesOf } from '../../../data/studies.ts';
import type { StudyRow } from '../../../data/study-rows.ts';
import { MarketProblem } from '../../../services/market.ts';
import { attempt } from '../../../state/attempt.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { Button } from '../../../ui/button.tsx';
import { counted } from '../../../ui/figures.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { usePost } from '../frame/post-context.ts';
import { BringPages } from './bring-pages.tsx';
import { NoStudy } from './no-study.tsx';
import { bringPages, studyResults } from './start-study.ts';
import { StudyFound } from './study-found.tsx';
import { useStudyRow } from './use-study-row.ts';

/** Study: the pages that answer the keyword, what they share, and what none of them says. */
export function StudyStep() {
  const { session, site } = usePost();
  const row = useStudyRow(session.siteId, session.id);
  const fields = useAppSelector((state) => state.openPost.fields);
  const others = useLiveQuery(() => studiesOf(session.siteId), [session.siteId]) ?? [];
  const [asked] = useSearchParams();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const [bringing, setBringing] = useState(false);
  const wanted = {
    siteId: session.siteId,
    postId: session.id,
    // A query that readers ask for may be studied beside the target.
    query: (asked.get('query') ?? fields.keyword).trim(),
    region: regionOf(site),
  };

  const run = async (before: StudyRow | null) => {
    setBusy(true);
    setProblem('');
    try {
      const query = before ? before.query : wanted.query;
      const found = await studyResults(
        { ...wanted, query, region: before?.region ?? wanted.region },
        before,
        new Date().toISOString(),
      );
      if (!found)
        setProblem(`No page is known that answers "${query}". Bring saved pages or their text instead.`);
    } catch (error) {
      setProblem(error instanceof MarketProblem ? error.message : storageProblem(error));
    } finally {
      setBusy(false);
    }
  };
  const bring = async (pages: BroughtPage[], read?: ReadonlyMap<string, string>) => {
    const brought = await bringPages(wanted, pages, new Date().toISOString(), read);
    if (brought.added > 0) toast(`${counted(brought.added, 'page')} brought.`);
    return brought;
  };
  if (row === undefined) return <Waiting className="m-6 h-60" />;
  const shareable = others.filter(
    ({ id, posts, facts }) => id !== row?.id && facts !== null && posts.length > 0,
  );
  return (
    <main className="flex h-full flex-col overflow-auto">
      {problem && (
        <p role="alert" className="px-6 pt-3 text-rust">
          {problem}
        </p>
      )}
      {bringing && (
        <div className="px-6 pt-4">
          <BringPages onBring={bring} onDone={() => setBringing(false)} />
          <Button look="word" className="mt-2" onClick={() => setBringing(false)}>
            Not now
          </Button>
        </div>
      )}
      {row ? (
        <StudyFound
          row={row}
          busy={busy}
          onAgain={() => attempt(run(row))}
          onBring={() => setBringing(!bringing)}
          otherQuery={
            wanted.query && wanted.query.toLowerCase() !== row.query.toLowerCase() ? wanted.query : ''
          }
          onOther={() => attempt(run(null))}
        />
      ) : (
        <div className="px-6">
          <NoStudy
            keyword={wanted.query}
            others={shareable}
            busy={busy}
            onResults={() => attempt(run(null))}
            onBring={() => setBringing(true)}
            onShare={(id) => attempt(goBy(session.siteId, session.id, id))}
          />
        </div>
      )}
    </main>
  );
}
