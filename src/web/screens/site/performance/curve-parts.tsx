import type { UnderCurve, Window } from '../../../../core/performance/index.ts';
import type { DatedRow } from '../../../../core/research/index.ts';
import { figureRows } from '../../../state/site/figure-rows.ts';
import { FigureParts } from '../../../ui/figure/figure-parts.tsx';
import { FigureRows } from '../../../ui/figure/figure-rows.tsx';
import { WAYS } from '../../../ui/figure/figure-ways.ts';
import { countInWords } from '../../../ui/figures.ts';
import type { GridColumn } from '../../../ui/grid/grid-column.ts';
import { researchWorker } from '../../../workers/research-client.ts';
import { QUERY } from './query-column.tsx';

type CurveQuery = UnderCurve['queries'][number];

const POSITION: GridColumn<{ position: number }> = {
  id: 'position',
  name: 'Position',
  width: '84px',
  right: true,
  cell: ({ position }) => position.toFixed(1),
};
const IMPRESSIONS: GridColumn<{ impressions: number }> = {
  id: 'impressions',
  name: 'Impressions',
  width: '108px',
  right: true,
  cell: ({ impressions }) => countInWords(impressions),
};

/** Clicks of a query: they open to its rows. */
const clicksOf = (
  siteId: string,
  window: Window,
  pathOf: (row: { page?: string }) => string,
): GridColumn<{ query: string; clicks: number; page?: string }> => ({
  id: 'clicks',
  name: 'Clicks',
  width: '80px',
  phone: '70px',
  right: true,
  cell: (row) => (
    <FigureRows
      source={figureRows(siteId, pathOf(row), [window], [row.query])}
      title={`Clicks for “${row.query}”`}
      way={WAYS.clicks}
    >
      {countInWords(row.clicks)}
    </FigureRows>
  ),
});

/** A figure of a page against the curve: it opens to the queries that it is added up from. */
export function UnderCurveFigure({
  siteId,
  page,
  window,
  title,
  children,
}: {
  siteId: string;
  page: UnderCurve;
  window: Window;
  title: string;
  children: string;
}) {
  const columns: GridColumn<CurveQuery>[] = [
    QUERY,
    IMPRESSIONS,
    POSITION,
    {
      id: 'expected',
      name: 'Curve gives',
      width: '104px',
      right: true,
      hint: 'Impressions times the click rate of your other pages at this rank.',
      cell: ({ expected }) => expected.toFixed(expected < 10 ? 1 : 0),
    },
    clicksOf(siteId, window, () => page.path),
  ];
  return (
    <FigureParts
      title={`${title}: ${page.path}`}
      way={`The queries at ranks of the curve, without those that ask for the site itself: together ${countInWords(page.clicks)} of ${countInWords(page.expected)} clicks that the curve gives, ${countInWords(page.missing)} are missing.`}
      name="Queries against the curve"
      columns={columns}
      load={() => Promise.resolve(page.queries)}
      nameOf={({ query }) => query}
    >
      {children}
    </FigureParts>
  );
}

/** A figure of a rank of the curve: it opens to the queries that stand there. */
export function RankFigure({
  siteId,
  rank,
  window,
  title,
  children,
}: {
  siteId: string;
  rank: number;
  window: Window;
  title: string;
  children: string;
}) {
  const columns: GridColumn<DatedRow>[] = [
    QUERY,
    {
      id: 'page',
      name: 'Page',
      width: 'minmax(0,1fr)',
      className: 'truncate',
      cell: ({ page }) => <span title={page}>{page}</span>,
    },
    IMPRESSIONS,
    POSITION,
    clicksOf(siteId, window, ({ page }) => page ?? ''),
  ];
  return (
    <FigureParts
      title={`${title} at rank ${rank}`}
      way="Queries whose mean rank rounds to it. The click rate is their clicks over their impressions, drawn towards the curve in House rules as if that were 200 impressions more; a rank is never opened more often than the one before it."
      name="Queries at the rank"
      columns={columns}
      load={async () => (await researchWorker()).rowsAtRank(siteId, rank)}
      nameOf={({ query, page }) => `${query} ${page}`}
    >
      {children}
    </FigureParts>
  );
}
