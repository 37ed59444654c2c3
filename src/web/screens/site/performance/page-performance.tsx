import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import { currentSite } from '../../../data/sites.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { useLiveQuery } from '../../../state/use-live-query.ts';
import { useResearch } from '../../../state/use-research.ts';
import { daysInWords } from '../../../ui/day.ts';
import { Empty, None } from '../../../ui/empty.tsx';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { countInWords } from '../../../ui/figures.ts';
import { DataGrid } from '../../../ui/grid/data-grid.tsx';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { WordLink } from '../../../ui/word-link.tsx';
import type { PageView } from '../../../workers/performance.ts';
import type { ResearchClient } from '../../../workers/research-client.ts';
import { SiteHeader } from '../site-header.tsx';
import { EffectCard } from './effect-card.tsx';
import { PageChart } from './page-chart.tsx';
import { QUERY } from './query-column.tsx';
import { UnansweredList } from './unanswered-list.tsx';

const ROW = 34;
const HEADING = 'mb-1 font-serif text-lg font-semibold';

/** What came of one page. */
export function PagePerformance() {
  const [search] = useSearchParams();
  const path = search.get('path') ?? '';
  const site = useLiveQuery(currentSite);
  return site ? <OfPage key={`${site.id} ${path}`} siteId={site.id} path={path} /> : <Waiting />;
}

function OfPage({ siteId, path }: { siteId: string; path: string }) {
  const [view] = useResearch(
    useCallback((worker: ResearchClient) => worker.pagePerformance(siteId, path), [siteId, path]),
  );
  return (
    <main className="flex h-full flex-col">
      <SiteHeader />
      {view === undefined ? (
        <Waiting />
      ) : view === null || view.weeks.length === 0 ? (
        <Empty
          title="Nothing is known of this page"
          ways={<WordLink to="/site/performance">All pages</WordLink>}
        >
          No figures that were brought tell of {path || 'it'}.
        </Empty>
      ) : (
        <Shown view={view} siteId={siteId} />
      )}
    </main>
  );
}

function Shown({ view, siteId }: { view: PageView; siteId: string }) {
  const { path, title, postId, weeks, changes, effects, latest, queries, unanswered } = view;
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 pb-8">
      <p className="text-[13px]">
        <WordLink quiet to="/site/performance">
          All pages
        </WordLink>
      </p>
      <div className="mb-3 flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-serif text-xl font-semibold break-words">{title}</h2>
        <span className="text-soft">{path}</span>
        {postId && (
          <WordLink quiet to={`/posts/${postId}/write`}>
            Open the post
          </WordLink>
        )}
      </div>
      <PageChart siteId={siteId} path={path} weeks={weeks} changes={changes} />
      <div className="mt-6 grid grid-cols-2 gap-x-10 gap-y-6 max-[1000px]:grid-cols-1">
        <section aria-label="What changes did">
          <h3 className={HEADING}>What changes did</h3>
          {effects.length === 0 ? (
            <None>
              No change of this page is known. Each time that it is sent anew, what came of it is told here.
            </None>
          ) : (
            <ul>
              {effects.map((effect) => (
                <li key={effect.change.day} className="border-t py-3 first:border-t-0">
                  <EffectCard effect={effect} siteId={siteId} path={path} />
                </li>
              ))}
            </ul>
          )}
        </section>
        <section aria-label="Queries">
          <h3 className={HEADING}>Queries</h3>
          <p className="mb-1 text-[13px] text-soft">{daysInWords(latest.from, latest.to)}</p>
          <Queries view={view} siteId={siteId} />
          {queries.length > 0 && unanswered.length > 0 && (
            <>
              <h3 className={`mt-6 ${HEADING}`}>Not answered yet</h3>
              <UnansweredList
                found={unanswered.map((one) => ({ ...one, path, title, postId }))}
                siteId={siteId}
                from={latest.from}
                to={latest.to}
                isOfOnePage
              />
            </>
          )}
        </section>
      </div>
    </div>
  );
}

type Query = PageView['queries'][number];

function Queries({ view, siteId }: { view: PageView; siteId: string }) {
  const { path, latest, queries } = view;
  const rowsOf = (query: string) => figureRows(siteId, path, [latest], [query]);
  const columns: GridColumn<Query>[] = [
    QUERY,
    {
      id: 'clicks',
      name: 'Clicks',
      width: '64px',
      phone: '64px',
      right: true,
      cell: ({ query, clicks }) => (
        <FigureRows source={rowsOf(query)} title={`Clicks for “${query}”`} way={WAYS.clicks}>
          {countInWords(clicks)}
        </FigureRows>
      ),
    },
    {
      id: 'impressions',
      name: 'Impressions',
      width: '100px',
      right: true,
      cell: ({ query, impressions }) => (
        <FigureRows source={rowsOf(query)} title={`Impressions for “${query}”`} way={WAYS.impressions}>
          {countInWords(impressions)}
        </FigureRows>
      ),
    },
    {
      id: 'position',
      name: 'Position',
      width: '76px',
      right: true,
      cell: ({ query, position }) => (
        <FigureRows source={rowsOf(query)} title={`Position for “${query}”`} way={WAYS.position}>
          {position?.toFixed(1) ?? '–'}
        </FigureRows>
      ),
    },
  ];
  return (
    <div className="flex max-h-80 min-h-0">
      <DataGrid
        name="Queries of the page"
        columns={columns}
        count={queries.length}
        rowAt={(place) => queries[place]}
        nameOf={({ query }) => query}
        rowHeight={ROW}
        none={<None>Search keeps its queries back, or showed it for none in these days.</None>}
      />
    </div>
  );
}
