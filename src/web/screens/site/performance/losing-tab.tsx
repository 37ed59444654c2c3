import { Fragment } from 'react';
import type { LosingQuery, LossCause } from '../../../../core/performance/index.ts';
import { daysInWords } from '../../../ui/day.ts';
import { None } from '../../../ui/empty.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import type { PerformanceView } from '../../../workers/performance.ts';
import { LossPart, LostClicks } from './loss-parts.tsx';
import { PageLink } from './page-link.tsx';
import { CAUSE_ADVICE, CAUSE_NAMES } from './performance-words.ts';

const CAUSES: readonly LossCause[] = ['position', 'shown', 'season', 'clickRate'];
const QUERIES = 3;

const ranksOf = ({ was, is }: LosingQuery): string =>
  was.position !== null && is.position !== null
    ? `, rank ${was.position.toFixed(1)} → ${is.position.toFixed(1)}`
    : ', shown no more';

/** Pages that have clearly fewer clicks than before, each with what took them. */
export function LosingTab({ view, siteId }: { view: PerformanceView; siteId: string }) {
  const { before, after, losing } = view;
  if (!before)
    return (
      <None>Too few days are known to hold the latest against those before. Bring an earlier period.</None>
    );
  return (
    <>
      <p className="mb-3 max-w-3xl text-soft">
        {daysInWords(after.from, after.to)} against {daysInWords(before.from, before.to)}. Named are pages
        that lost more clicks than chance gives. What took them adds up to the loss.
      </p>
      {losing.length === 0 ? (
        <None>No page lost more clicks than chance gives.</None>
      ) : (
        <ul aria-label="Pages that lose">
          {losing.map((page) => (
            <li
              key={page.path}
              className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-8 gap-y-1 border-t py-3 first:border-t-0"
            >
              <div className="min-w-0">
                <p className="truncate font-semibold">
                  <PageLink page={page} />
                </p>
                <p className="text-[13px] text-soft">
                  <span className="font-semibold text-ochre">
                    Mostly {CAUSE_NAMES[page.cause].toLowerCase()}.
                  </span>{' '}
                  {CAUSE_ADVICE[page.cause]}
                </p>
                <p className="mt-1 truncate text-[13px] text-soft">
                  {page.queries.slice(0, QUERIES).map((query, at) => (
                    <Fragment key={query.query}>
                      {at > 0 && '; '}“{query.query}”{' '}
                      <LostClicks siteId={siteId} page={page} query={query} windows={[before, after]} />
                      {ranksOf(query)}
                    </Fragment>
                  ))}
                </p>
                {page.postId && (
                  <p className="mt-1 flex gap-4 text-[13px]">
                    <WordLink
                      quiet
                      to={`/posts/${page.postId}/${page.cause === 'position' ? 'study' : 'write'}`}
                    >
                      {page.cause === 'position' ? 'Study those before it' : 'Open it'}
                    </WordLink>
                  </p>
                )}
              </div>
              <div className="text-right text-[13px]">
                <p className="text-[15px]">
                  <LostClicks siteId={siteId} page={page} query={null} windows={[before, after]} /> clicks
                </p>
                <dl className="mt-1 grid grid-cols-[auto_auto] justify-end gap-x-3 text-soft">
                  {CAUSES.map((cause) => (
                    <div key={cause} className="contents">
                      <dt>{CAUSE_NAMES[cause]}</dt>
                      <dd
                        className={`tabular-nums ${cause === page.cause ? 'font-semibold text-ochre' : ''}`}
                      >
                        <LossPart siteId={siteId} page={page} cause={cause} windows={[before, after]} />
                      </dd>
                    </div>
                  ))}
                </dl>
              </div>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
