import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { MONTH_NAMES } from '../../../core/research/index.ts';
import { monthIn, regionOf } from '../../../core/site/index.ts';
import { ideasOf } from '../../data/ideas.ts';
import type { PostRow, SiteRow } from '../../data/post-rows.ts';
import { postsOf } from '../../data/posts.ts';
import { plannedReuses } from '../../data/reuses.ts';
import { scoresOf } from '../../data/scores.ts';
import { currentSite } from '../../data/sites.ts';
import { attempt } from '../../state/attempt.ts';
import { useLiveQuery } from '../../state/use-live-query.ts';
import { dayInWords } from '../../ui/day.ts';
import { ToWin } from '../../ui/earned.tsx';
import { counted, countInWords, figureInWords } from '../../ui/figures.ts';
import { REUSE_NAMES } from '../../ui/reuse-names.ts';
import { Ridge } from '../../ui/ridge.tsx';
import { SeasonBars } from '../../ui/season-bars.tsx';
import { STATUS_NAMES } from '../../ui/status-names.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { useZone } from '../../ui/zone.ts';
import type { KeywordLine } from '../../workers/desk-lines.ts';
import { researchWorker } from '../../workers/research-client.ts';
import { Near } from './near.tsx';
import { LINK, MAX_LINES, Part } from './part.tsx';
import { Things } from './things.tsx';

/** Today: what is worth doing now, and why now. */
export function Today() {
  const zone = useZone();
  const found = useLiveQuery(async () => {
    const site = await currentSite();
    return (
      site && {
        site,
        posts: await postsOf(site.id),
        ideas: await ideasOf(site.id),
        scores: await scoresOf(site.id),
        planned: await plannedReuses(site.id),
      }
    );
  });
  if (!found) return <Waiting />;
  const { site, posts, ideas, scores } = found;
  const titles = new Map(posts.map(({ id, fields }) => [id, fields.title]));
  // What was made of a post that is deleted waits with it.
  const planned = found.planned.filter(({ postId }) => titles.has(postId));
  const inHand = posts
    .filter(({ fields }) => fields.status === 'draft' || fields.status === 'in-review')
    .sort((a, b) => (a.changed < b.changed ? 1 : -1));
  const kept = ideas.filter(({ stage }) => stage === 'kept');
  return (
    <main className="h-full overflow-auto">
      <header className="px-6 pt-5 pb-3">
        <h1 className="font-serif text-[26px] font-semibold">Today</h1>
        <p className="text-soft">
          {new Date().toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })}
        </p>
      </header>
      <Things site={site} />
      <div className="grid grid-cols-2 gap-x-10 gap-y-8 px-6 pb-8 max-[900px]:grid-cols-1">
        <Part
          title="Posts in progress"
          empty="No draft is open. Begin one from an idea, a list, or under Posts."
          more={{ to: '/posts', name: 'All posts' }}
          shown={inHand.length}
        >
          {inHand.slice(0, MAX_LINES).map(({ id, fields, changed }) => {
            const score = scores.get(id);
            return (
              <li key={id} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t py-2">
                <div className="min-w-0">
                  <Link to={`/posts/${id}/write`} className={`${LINK} block truncate`}>
                    {fields.title || 'Untitled'}
                  </Link>
                  <p className="truncate text-[13px] text-soft">
                    {STATUS_NAMES[fields.status]}, changed {dayInWords(changed, zone)}
                    {score?.first ? `. First: ${score.first.advice}` : ''}
                  </p>
                </div>
                {score && (
                  <span className="flex items-center gap-2">
                    {score.first && <ToWin points={score.first.gain} />}
                    <span className="w-7 text-right font-semibold tabular-nums">
                      {Math.round(score.score)}
                    </span>
                    <Ridge groups={score.groups} width={120} height={24} />
                  </span>
                )}
              </li>
            );
          })}
        </Part>
        <Part
          title="Ideas kept, not begun"
          empty="Nothing is kept. Under Ideas you are given five at a time."
          more={{ to: '/ideas', name: 'All ideas' }}
          shown={kept.length}
        >
          {kept.slice(0, MAX_LINES).map(({ id, title, line, opportunity }) => (
            <li key={id} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t py-2">
              <div className="min-w-0">
                <Link to="/ideas" className={`${LINK} block truncate`}>
                  {title}
                </Link>
                <p className="truncate text-[13px] text-soft">{line}</p>
              </div>
              <span className="text-soft tabular-nums">
                {opportunity === null ? '' : figureInWords(opportunity)}
              </span>
            </li>
          ))}
        </Part>
        {planned.length > 0 && (
          <Part
            title="Goes out next"
            empty=""
            more={{ to: '/posts', name: 'All posts' }}
            shown={planned.length}
          >
            {planned.slice(0, MAX_LINES).map(({ id, postId, kind, planned: day }) => (
              <li key={id} className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t py-2">
                <div className="min-w-0">
                  <Link to={`/posts/${postId}/reuse`} className={`${LINK} block truncate`}>
                    {titles.get(postId) || 'Untitled'}
                  </Link>
                  <p className="truncate text-[13px] text-soft">{REUSE_NAMES[kind]}</p>
                </div>
                <span className="text-[13px] text-soft">{dayInWords(`${day}T12:00:00Z`, zone)}</span>
              </li>
            ))}
          </Part>
        )}
        <Seasons site={site} posts={posts} />
        <Near site={site} />
      </div>
    </main>
  );
}

/** Phrases whose season begins soon: what is published now is found in time. */
function Seasons({ site, posts }: { site: SiteRow; posts: readonly PostRow[] }) {
  const zone = useZone();
  const [soon, setSoon] = useState<{ line: KeywordLine; weeks: number; peak: number }[] | null>(null);
  const region = regionOf(site);
  useEffect(() => {
    let late = false;
    attempt(
      researchWorker()
        .then((worker) => worker.seasonsSoon(site.id, region, MAX_LINES))
        .then((found) => !late && setSoon(found)),
    );
    return () => {
      late = true;
    };
  }, [site.id, region]);
  if (!soon) return <Waiting name="Seasons that begin soon" className="h-40" />;
  const postFor = (phrase: string) =>
    posts.find(({ fields }) =>
      [fields.keyword, ...fields.supporting].some((own) => own.toLowerCase() === phrase.toLowerCase()),
    );
  return (
    <Part
      title={
        soon.every(({ weeks }) => weeks <= 6)
          ? 'Seasons that begin within six weeks'
          : 'The season that begins next'
      }
      empty="Of the phrases known here none comes into season within six weeks."
      more={{ to: '/keywords', name: 'Keywords' }}
      shown={soon.length}
    >
      {soon.map(({ line, weeks, peak }) => {
        const post = postFor(line.keyword.phrase);
        return (
          <li
            key={line.row}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-t py-2"
          >
            <div className="min-w-0">
              <Link
                to={`/keywords?seed=${encodeURIComponent(line.keyword.phrase)}`}
                className={`${LINK} block truncate`}
              >
                {line.keyword.phrase}
              </Link>
              <p className="truncate text-[13px] text-soft">
                {weeks === 0 ? 'within days' : `in ${counted(weeks, 'week')}`}, most in {MONTH_NAMES[peak]},{' '}
                {countInWords(line.keyword.volume)} searches a month, opportunity{' '}
                {figureInWords(line.opportunity)}.{' '}
                {post ? (
                  <Link to={`/posts/${post.id}/write`} className="text-marram hover:underline">
                    Refresh "{post.fields.title || 'Untitled'}"
                  </Link>
                ) : (
                  'Not written yet.'
                )}
              </p>
            </div>
            <SeasonBars months={line.keyword.months} width={96} height={24} now={monthIn(zone, new Date())} />
          </li>
        );
      })}
    </Part>
  );
}
