import { BookOpen, History } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { NavLink, Outlet, useLocation, useParams } from 'react-router';
import type { StudyFacts } from '../../../../core/criteria/index.ts';
import { scoreAsPage } from '../../../../core/study/index.ts';
import { database } from '../../../data/database.ts';
import type { SiteRow } from '../../../data/post-rows.ts';
import { reusesOf } from '../../../data/reuses.ts';
import { zoneOf } from '../../../data/zone-of.ts';
import { attempt } from '../../../state/attempt.ts';
import { PostSession } from '../../../state/post/post-session.ts';
import { useAppSelector } from '../../../state/store.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { timeInWords } from '../../../ui/day.ts';
import { GROUP_NAMES, Ridge } from '../../../ui/ridge.tsx';
import { STATUS_NAMES } from '../../../ui/status-names.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import { useZone, Zone } from '../../../ui/zone.ts';
import { useStudyRow } from '../study/use-study-row.ts';
import { LeaveGuard } from './leave-guard.tsx';
import type { PostContext } from './post-context.ts';
import { PostNotices } from './post-notices.tsx';
import { Trail } from './trail.tsx';
import { STEPS, type Step, trailStates } from './trail-state.ts';
import { usePostCommands } from './use-post-commands.ts';

/** Milliseconds of rest after which saving is announced. */
const SAID_AFTER = 1500;

/** The frame of one post: title and saved state, trail, score and ridge; a step below. */
export function PostFrame() {
  const { postId = '' } = useParams();
  const [session, setSession] = useState<PostSession | 'missing' | null>(null);
  const siteId = session && session !== 'missing' ? session.siteId : null;
  const found = useLiveQuery(async () => (siteId ? database().sites.get(siteId) : undefined), [siteId]);
  // Where the row vanishes under the writer, the frame stays: what is written in it may stand nowhere else.
  const last = useRef<SiteRow | undefined>(undefined);
  if (found) last.current = found;
  const site = found ?? (last.current?.id === siteId ? last.current : undefined);

  useEffect(() => {
    const visit = new AbortController();
    let current: PostSession | null = null;
    setSession(null);
    attempt(
      PostSession.open(postId, visit.signal).then((opened) => {
        if (visit.signal.aborted) return opened?.close();
        current = opened;
        setSession(opened ?? 'missing');
      }),
      'The post could not be opened',
    );
    return () => {
      visit.abort();
      if (current) attempt(current.close(), 'The post could not be closed');
    };
  }, [postId]);

  if (session === 'missing') {
    return (
      <main className="mx-auto max-w-md p-10">
        <h1 className="mb-2 font-serif text-2xl font-semibold">This post is not here</h1>
        <p className="mb-4 text-soft">It may have been deleted, or belong to another browser.</p>
        <WordLink to="/posts">To your posts</WordLink>
      </main>
    );
  }
  if (!session || !site || session.id !== postId) return <Waiting className="m-6 h-20" />;
  return (
    <Zone value={zoneOf(site)}>
      <Frame session={session} site={site} />
    </Zone>
  );
}

function Frame({ session, site }: PostContext) {
  const { pathname } = useLocation();
  // Versions are beside the trail, no step of it; a talk is a step back in Target.
  const present: Step | null =
    STEPS.find((step) => pathname.endsWith(`/${step}`)) ?? (pathname.endsWith('/talk') ? 'target' : null);
  const { fields, outline, words, report } = useAppSelector((state) => state.openPost);
  const quiet = useAppSelector((state) => state.view.quiet);
  const context: PostContext = { session, site };
  usePostCommands(context);
  const study = useStudyRow(session.siteId, session.id);
  const made = useLiveQuery(() => reusesOf(session.siteId, session.id), [session]) ?? [];
  const title = fields.title || 'Untitled';
  useEffect(() => {
    document.title = `${title} - Dune Sparrow`;
    return () => {
      document.title = 'Dune Sparrow';
    };
  }, [title]);
  return (
    <div className="flex h-full flex-col">
      <header hidden={quiet} className="flex shrink-0 border-b max-[760px]:flex-wrap print:hidden">
        <div className="min-w-0 flex-1 px-6 pt-2.5 max-[760px]:basis-full max-[760px]:px-3">
          <div className="mb-0.5 flex min-w-0 items-baseline gap-3 max-[760px]:flex-wrap max-[760px]:gap-y-0">
            <h1 className="truncate text-[16px] font-semibold max-[760px]:basis-full" title={title}>
              {title}
            </h1>
            <SaveState />
            <NavLink
              to={`/posts/${session.id}/reading`}
              className="ml-auto inline-flex shrink-0 items-center gap-1.5 rounded-md px-1.5 text-[13px] text-soft hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink"
            >
              <BookOpen size={14} aria-hidden />
              Reader’s view
            </NavLink>
            <NavLink
              to={`/posts/${session.id}/versions`}
              className="inline-flex shrink-0 items-center gap-1.5 rounded-md px-1.5 text-[13px] text-soft hover:text-ink aria-[current=page]:font-semibold aria-[current=page]:text-ink"
            >
              <History size={14} aria-hidden />
              Versions
            </NavLink>
          </div>
          <Trail
            postId={session.id}
            present={present}
            states={trailStates(
              fields,
              outline.length,
              words,
              report,
              study ? { taken: study.pages.filter(({ left, problem }) => !left && !problem).length } : null,
              { made: made.length, sent: made.filter(({ sent }) => sent.length > 0).length },
            )}
          />
        </div>
        <ScoreCorner study={study?.facts ?? null} />
      </header>
      <PostNotices session={session} />
      <LeaveGuard session={session} />
      <div className="min-h-0 min-w-0 flex-1 print:min-h-fit">
        <Outlet context={context} />
      </div>
    </div>
  );
}

function SaveState() {
  const { fields, words, save, savedAt } = useAppSelector((state) => state.openPost);
  const zone = useZone();
  // Said when writing pauses: with every key it would drown the text.
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    setSettled(false);
    const timer = save === 'saved' && savedAt ? setTimeout(() => setSettled(true), SAID_AFTER) : undefined;
    return () => clearTimeout(timer);
  }, [save, savedAt]);
  const saved =
    save === 'saved'
      ? savedAt
        ? `saved ${timeInWords(savedAt, zone)}`
        : 'saved'
      : save === 'saving'
        ? 'saving'
        : 'not saved';
  return (
    <p className="shrink-0 text-[13px] whitespace-nowrap text-soft">
      {STATUS_NAMES[fields.status]} · {words.toLocaleString('en')} {words === 1 ? 'word' : 'words'} ·{' '}
      <span className={save === 'failed' ? 'font-semibold text-rust' : ''}>{saved}</span>
      <span role="status" className="sr-only">
        {save === 'failed' ? 'Not saved' : settled ? 'Saved' : ''}
      </span>
    </p>
  );
}

/** The score, and beside it where the studied pages stand: like against like. */
function ScoreCorner({ study }: { study: StudyFacts | null }) {
  const { report, lastChange } = useAppSelector((state) => state.openPost);
  const band = study?.score ?? null;
  const asPage = report && band ? scoreAsPage(report.criteria) : null;
  return (
    <section
      aria-label="Score"
      className="flex w-[352px] shrink-0 flex-col justify-center border-l px-4 max-[1100px]:w-[250px] max-[760px]:w-full max-[760px]:border-t max-[760px]:border-l-0 max-[760px]:py-1"
    >
      <div className="flex items-center gap-4">
        <output
          data-score={report?.score.toFixed(1)}
          aria-live="polite"
          aria-label="Score"
          className="min-w-11 text-[36px] leading-none font-semibold"
        >
          {report ? Math.round(report.score) : '–'}
        </output>
        {band && asPage !== null && (
          <p
            className="border-x border-soft px-1.5 text-[12px] leading-tight text-soft"
            title={`Over the criteria that can be judged on any page yours scores ${asPage.toFixed(1)}. Of the studied pages a quarter scores below ${band.lower.toFixed(1)} and a quarter above ${band.upper.toFixed(1)}; the middle is ${band.median.toFixed(1)}, the first ten average ${band.topTen.toFixed(1)}, the best has ${band.best.toFixed(1)}. The upper end is the goal, not 100.`}
          >
            band {Math.round(band.lower)}–{Math.round(band.upper)}
            <br />
            yours {Math.round(asPage)}
            {asPage > band.best ? ', best' : ''}
          </p>
        )}
        {report && (
          <Ridge
            groups={report.groups}
            width={band ? 130 : 206}
            height={36}
            className="max-[1100px]:w-[150px]"
          />
        )}
      </div>
      <p
        className="mt-1.5 h-5 truncate text-[13px] text-soft"
        title={report?.groups
          .map(
            (group) => `${GROUP_NAMES[group.id]} ${group.points.toFixed(1)} of ${group.available.toFixed(1)}`,
          )
          .join('\n')}
      >
        {lastChange ? (
          <>
            <span className={lastChange.gain > 0 ? 'font-semibold text-marram' : 'font-semibold text-ochre'}>
              {lastChange.gain > 0 ? '+' : '−'}
              {Math.abs(lastChange.gain).toFixed(1)}
            </span>{' '}
            last change: {lastChange.what.toLowerCase()}
          </>
        ) : report ? (
          `${report.score.toFixed(1)} of 100`
        ) : (
          'scoring'
        )}
      </p>
    </section>
  );
}
