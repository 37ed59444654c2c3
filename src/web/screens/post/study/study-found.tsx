import { FileDown, FilePlus2, RefreshCw } from 'lucide-react';
import { Link } from 'react-router';
import type { StudyRow } from '../../../data/study-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { dayInWords } from '../../../ui/day.ts';
import { counted } from '../../../ui/figures.ts';
import { useZone } from '../../../ui/zone.ts';
import { saveStudy } from './study-actions.ts';
import { StudyTabs } from './study-tabs.tsx';
import { useStudyView } from './use-study-view.ts';

/** A study that is there. */
export function StudyFound({
  row,
  busy,
  onAgain,
  onBring,
  otherQuery,
  onOther,
}: {
  row: StudyRow;
  busy: boolean;
  onAgain: () => void;
  onBring: () => void;
  /** The keyword, where it is another by now. */
  otherQuery: string;
  onOther: () => void;
}) {
  const zone = useZone();
  const { view, done, problem, stop, again } = useStudyView(row);
  return (
    <>
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 px-6 pt-4 pb-2">
        <h2 className="font-serif text-xl font-semibold">{row.query}</h2>
        <p className="text-[13px] text-soft">
          {row.region}, pages of {dayInWords(row.made, zone)}
          {row.posts.length > 1 ? `, shared by ${counted(row.posts.length, 'post')}` : ''}
        </p>
        <div className="ml-auto flex flex-wrap gap-2">
          <Link
            to="../brief"
            relative="path"
            className="inline-flex min-h-8.5 items-center rounded-md border bg-sheet px-2.5 py-1.5 hover:border-soft"
          >
            Brief
          </Link>
          <Button onClick={onBring}>
            <FilePlus2 size={15} aria-hidden />
            Bring pages
          </Button>
          <Button disabled={busy} onClick={onAgain}>
            <RefreshCw size={15} aria-hidden />
            {busy ? 'Looking...' : 'Run again'}
          </Button>
          <Button disabled={row.facts === null} onClick={() => saveStudy(row)}>
            <FileDown size={15} aria-hidden />
            Save as JSON
          </Button>
        </div>
      </header>
      {otherQuery && (
        <p className="px-6 pb-2 text-[13px] text-ochre">
          Your keyword is "{otherQuery}" by now; these pages answer "{row.query}".{' '}
          <Button look="word" disabled={busy} onClick={onOther}>
            Study the results for "{otherQuery}"
          </Button>
        </p>
      )}
      {problem && (
        <p role="alert" className="px-6 pb-2 text-rust">
          {problem}{' '}
          <Button look="word" onClick={again}>
            Go on reading
          </Button>
        </p>
      )}
      {done !== null && (
        <p role="status" className="flex items-center gap-3 px-6 pb-2">
          <progress
            value={done}
            max={row.pages.length}
            className="w-40 accent-marram"
            aria-label="Pages read"
          />
          Reading page {Math.min(done + 1, row.pages.length)} of {row.pages.length}
          <Button look="word" onClick={stop}>
            Stop
          </Button>
        </p>
      )}
      {view ? (
        <StudyTabs row={row} view={view} />
      ) : (
        (done !== null || problem) && (
          <div aria-busy={done !== null} className="mx-6 mb-6 min-h-60 flex-1 rounded-md bg-sand/40" />
        )
      )}
    </>
  );
}
